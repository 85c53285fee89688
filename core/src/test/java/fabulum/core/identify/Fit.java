package fabulum.core.identify;

import fabulum.core.identify.Identifier.Case;
import fabulum.core.identify.LabelledSet.LabelledCase;
import fabulum.core.meaning.Meaning;
import fabulum.core.phone.PhoneNumber;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * Fits the weights to the tuning part of the labelled set, and prints them and how both parts are
 * answered. Run by hand; always gives the same.
 */
final class Fit {
  static final List<String> TUNING =
      List.of("boatyard", "clinic", "heating", "dental", "print", "garden", "movers");
  static final List<String> HELD_BACK = List.of("rentals", "garage");

  /** Written when everything else was done, and only counted. */
  static final List<String> FRESH = List.of("music", "driving");

  /** The sentence model, where it is among the classes; else words alone are weighed. */
  private static final Optional<Meaning> MEANING = Remembered.model();

  private static Manner manner = Manner.fitted();

  private static final int FILLERS = 600;
  private static final int ROUNDS = 4_000;
  private static final double STEP = 0.5;
  private static final double PULL = Double.parseDouble(System.getProperty("pull", "0.004"));

  /**
   * Where a weight is pulled to for which there are few cases: what the kind of evidence counts as
   * a rule.
   */
  private static final Map<Clue, Double> PRIOR = new EnumMap<>(Clue.class);

  static {
    String rule =
        "HOLDS_NUMBER 7 HELD_NUMBER 5.5 NEAR_NUMBER 2.5 NOTED_NUMBER 5.5 WE_NAMED_THEM 5 SAME_AREA 0.7 FULL_NAME 7 FIRST_NAME 3 INITIAL 2 LAST_NAME 2.5"
            + " MENTIONED 1.5 FIRM 4 NOTED_NAME 3 RELATIVE 1.5 DETAIL 5 PART_OF_DETAIL 2.5 TOGETHER 3 REFERENCE 6.5 MAIL 6.5 EXPECTED 0.4 COMING 1.5 TIME 1.5"
            + " ANSWERS 3 ASKED 1 MATTER 3 MEANS_ANSWER 8 MEANS_MATTER 8 OTHER_NAME -2.5 OTHER_LAST_NAME -4 ADDRESSED -2.5 FROM_ELSEWHERE -2.5 JUST_WROTE -0.7 NOBODY 4 VISITOR 1.5"
            + " WRONG_PERSON 1.5 SELLING 2 NEW_NAME 1 READS_STRANGE 2 READS_FAMILIAR -2 NEW_NUMBER -0.7 FAMILIAR -0.5 FEW_WORDS 0.3";
    String[] words = rule.split(" ");
    for (int i = 0; i < words.length; i += 2) {
      PRIOR.put(Clue.valueOf(words[i]), Double.parseDouble(words[i + 1]));
    }
  }

  private Fit() {}

  /** A case with what it counts. */
  record Example(Case evidence, Optional<Long> truth, double counts) {}

  public static void main(String[] arguments) {
    Weights weights = fit();
    boolean misses = arguments.length > 0;
    for (String name : TUNING) {
      System.out.println("fitted without " + name);
      Weights without = fit(TUNING.stream().filter(each -> !each.equals(name)).toList());
      report(name + " (cross)", without, List.of(name), false);
      report(name + " among strangers (cross)", without, List.of(name), true);
    }
    manner(TUNING);
    for (String name : TUNING) {
      report(name, weights, misses);
    }
    for (String name : HELD_BACK) {
      report(name, weights, arguments.length > 1);
    }
    report("tuning", weights, TUNING, false);
    report("tuning among strangers", weights, TUNING, true);
    report("held back", weights, HELD_BACK, false);
    report("held back among strangers", weights, HELD_BACK, true);
    report("fresh", weights, FRESH, false);
    report("fresh among strangers", weights, FRESH, true);
  }

  private static Optional<Sense> sense() {
    return MEANING.map(meaning -> new Sense(meaning, manner));
  }

  private static void report(String name, Weights weights, boolean withMisses) {
    Measured measured = new Measured();
    LabelledSet set = LabelledSet.read(name);
    measured.add(set, set.directory(), Measured.byId(set.customers()), weights, sense());
    System.out.println(name + ": " + measured);
    if (withMisses) {
      measured.misses().forEach(System.out::println);
    }
  }

  private static void report(String title, Weights weights, List<String> names, boolean strangers) {
    Measured measured = new Measured();
    for (String name : names) {
      LabelledSet set = LabelledSet.read(name);
      List<Profile> customers =
          strangers ? Strangers.among(set.customers(), FILLERS) : set.customers();
      measured.add(
          set, LabelledSet.directory(customers), Measured.byId(customers), weights, sense());
    }
    System.out.println(title + ": " + measured);
  }

  static Weights fit() {
    return fit(TUNING);
  }

  /** How each set reads is judged by what was fitted to the others, as it will be for new texts. */
  private static Weights fit(List<String> names) {
    List<Example> examples = new ArrayList<>();
    for (String name : names) {
      LabelledSet set = LabelledSet.read(name);
      manner(names.stream().filter(each -> !each.equals(name)).toList());
      add(set, set.customers(), 1, examples);
      add(set, Strangers.among(set.customers(), FILLERS), 1, examples);
    }
    manner(names);
    Map<Clue, Double> points = descend(examples);
    if (names.equals(TUNING)) {
      points.forEach(
          (clue, value) -> System.out.printf(Locale.ROOT, "      %s %.2f%n", clue, value));
    }
    return Weights.of(points);
  }

  /** Fits how strangers and customers write, and takes it from then on. */
  private static void manner(List<String> names) {
    MEANING.ifPresent(meaning -> {
      FitManner fit = new FitManner();
      for (String name : names) {
        for (LabelledCase one : LabelledSet.read(name).cases()) {
          fit.add(meaning.of(MeaningClues.text(one.inquiry())), one.truth().isEmpty());
        }
      }
      manner = fit.fit();
    });
  }

  /** Each case as it is, and once more with its writer taken from the file: then it is nobody. */
  private static void add(
      LabelledSet set, List<Profile> customers, double counts, List<Example> examples) {
    Directory directory = LabelledSet.directory(customers);
    Map<Long, Profile> profiles = Measured.byId(customers);
    for (LabelledCase one : set.cases()) {
      examples.add(new Example(evidence(one.inquiry(), directory, profiles), one.truth(), counts));
      one.truth()
          .ifPresent(id -> {
            directory.remove(id);
            examples.add(
                new Example(
                    evidence(one.inquiry(), directory, profiles), Optional.empty(), counts * 0.3));
            directory.put(profiles.get(id));
          });
    }
  }

  private static Case evidence(Inquiry inquiry, Directory directory, Map<Long, Profile> profiles) {
    List<Profile> found = Measured.found(inquiry, directory, profiles);
    return Identifier.evidence(inquiry, found, directory, sense());
  }

  /** Climbs the mean log likelihood, less a pull towards no weight; each weight keeps its sign. */
  private static Map<Clue, Double> descend(List<Example> examples) {
    Clue[] clues = Clue.values();
    double[] weights = new double[clues.length];
    double total = examples.stream().mapToDouble(Example::counts).sum();
    double[] speed = new double[clues.length];
    for (int round = 0; round < ROUNDS; round++) {
      double[] slope = new double[clues.length];
      for (Example example : examples) {
        slope(example, weights, slope);
      }
      for (int i = 0; i < clues.length; i++) {
        double gradient =
            slope[i] / total - PULL * (weights[i] - PRIOR.getOrDefault(clues[i], 0.0));
        speed[i] = 0.9 * speed[i] + gradient;
        weights[i] = kept(clues[i], weights[i] + STEP * speed[i]);
      }
    }
    Map<Clue, Double> points = new EnumMap<>(Clue.class);
    for (int i = 0; i < clues.length; i++) {
      points.put(clues[i], Math.round(weights[i] * 100) / 100.0);
    }
    return points;
  }

  private static double kept(Clue clue, double weight) {
    return switch (clue) {
      case OTHER_NAME,
          OTHER_LAST_NAME,
          ADDRESSED,
          FROM_ELSEWHERE,
          JUST_WROTE,
          READS_FAMILIAR,
          NEW_NUMBER,
          FAMILIAR ->
          Math.min(0, weight);
      case NOBODY, MENTIONED -> weight;
      case SAME_AREA -> Math.max(0, Math.min(1, weight));
      default -> Math.max(0, weight);
    };
  }

  private static void slope(Example example, double[] weights, double[] slope) {
    List<List<Evidence>> all = new ArrayList<>();
    all.add(example.evidence().nobody());
    int truth = example.truth().isPresent() ? -1 : 0;
    for (Identifier.Candidate candidate : example.evidence().candidates()) {
      if (example.truth().filter(id -> id == candidate.id()).isPresent()) {
        truth = all.size();
      }
      all.add(candidate.evidence());
    }
    if (truth < 0) {
      return;
    }
    double[] points = new double[all.size()];
    double most = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < points.length; i++) {
      for (Evidence one : all.get(i)) {
        points[i] += weights[one.clue().ordinal()] * one.strength();
      }
      most = Math.max(most, points[i]);
    }
    double sum = 0;
    for (int i = 0; i < points.length; i++) {
      points[i] = Math.exp(points[i] - most);
      sum += points[i];
    }
    for (int i = 0; i < points.length; i++) {
      double off = (i == truth ? 1 : 0) - points[i] / sum;
      for (Evidence one : all.get(i)) {
        slope[one.clue().ordinal()] += example.counts() * off * one.strength();
      }
    }
  }

  /** Customers who are strangers to every case, made by a fixed seed. */
  static final class Strangers {
    private static final String FIRST =
        "James Mary Robert Patricia John Jennifer Michael Linda David Elizabeth William Barbara Richard Susan Joseph Jessica Thomas Sarah Charles Karen"
            + " Christopher Lisa Daniel Nancy Matthew Betty Anthony Sandra Mark Margaret Donald Ashley Steven Kimberly Andrew Emily Paul Donna Joshua Michelle"
            + " Kenneth Carol Kevin Amanda Brian Melissa George Deborah Timothy Stephanie Ronald Rebecca Edward Laura Jason Helen Jeffrey Sharon Ryan Cynthia"
            + " Jacob Kathleen Gary Amy Nicholas Angela Eric Shirley Jonathan Anna Carlos Sofia Luis Ahmed Wei Olga Ivan Fatima Raj Priya";
    private static final String LAST =
        "Smith Johnson Williams Brown Jones Garcia Miller Davis Rodriguez Martinez Hernandez Lopez Gonzalez Wilson Anderson Thomas Taylor Moore Jackson Martin"
            + " Lee Perez Thompson White Harris Sanchez Clark Ramirez Lewis Robinson Walker Young Allen King Wright Scott Torres Nguyen Hill Flores Green Adams Nelson"
            + " Baker Hall Rivera Campbell Mitchell Carter Roberts Gomez Phillips Evans Turner Diaz Parker Cruz Edwards Collins Reyes Stewart Morris Morales Murphy"
            + " Cook Rogers Gutierrez Ortiz Morgan Cooper Peterson Bailey Reed Kelly Howard Ramos Kim Cox Ward Richardson Watson Brooks Chavez Wood James Bennett";

    private Strangers() {}

    static List<Profile> among(List<Profile> customers, int count) {
      Random chance = new Random(11);
      String[] first = FIRST.split(" ");
      String[] last = LAST.split(" ");
      List<Profile> all = new ArrayList<>(customers);
      Map<String, Integer> used = new HashMap<>();
      for (int i = 0; i < count; i++) {
        Profile like = customers.get(chance.nextInt(customers.size()));
        Profile other = customers.get(chance.nextInt(customers.size()));
        String name = first[chance.nextInt(first.length)] + " " + last[chance.nextInt(last.length)];
        String e164 =
            String.format(
                Locale.ROOT,
                "+1%03d5550%03d",
                201 + chance.nextInt(700),
                200 + chance.nextInt(700));
        if (used.merge(e164, 1, Integer::sum) > 1) {
          continue;
        }
        List<Profile.Detail> details =
            like.details().stream()
                .map(one -> new Profile.Detail(one.name(), changed(one.value(), last, chance)))
                .toList();
        boolean talks = chance.nextInt(4) == 0;
        all.add(
            new Profile(
                10_000L + i,
                name,
                List.of(),
                Optional.empty(),
                like.site(),
                List.of(
                    new Profile.Held(new PhoneNumber(e164), Optional.empty(), Optional.empty())),
                details,
                List.of(),
                chance.nextInt(8) == 0 ? like.appointments() : List.of(),
                chance.nextInt(6) == 0
                    ? like.jobs().stream()
                        .map(job ->
                            new Profile.Job(Optional.of("X-" + chance.nextInt(90_000)), job.what()))
                        .toList()
                    : List.of(),
                talks ? other.said() : List.of()));
      }
      return all;
    }

    private static String changed(String value, String[] words, Random chance) {
      if (value.chars().anyMatch(Character::isDigit)) {
        StringBuilder changed = new StringBuilder();
        for (char each : value.toCharArray()) {
          changed.append(Character.isDigit(each) ? (char) ('0' + chance.nextInt(10)) : each);
        }
        return changed.toString();
      }
      return words[chance.nextInt(words.length)] + " " + words[chance.nextInt(words.length)];
    }
  }
}
