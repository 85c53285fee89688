package fabulum.core.identify;

import fabulum.core.reading.Rarity;
import fabulum.core.reading.Reading;
import fabulum.core.reading.Stems;
import fabulum.core.reading.Wording;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Evidence from what was said lately, and from what is due. */
final class TalkClues {
  private static final Duration LATELY = Duration.ofDays(45);
  static final Duration ASKED_LATELY = Duration.ofDays(10);
  private static final Duration JUST_NOW = Duration.ofHours(2);

  private static final double OF_A_VISITOR = 0.5;

  private static final double QUOTED = 0.2;
  private static final int MOST_QUOTED = 3;

  private static final Pattern ASKS =
      Pattern.compile(
          "(?i)\\?|\\breply\\b|\\blet us know\\b|please (?:send|tell|confirm|call|text)");
  private static final Pattern COMING =
      Pattern.compile(
          "\\b(?:on (?:my|our|the) way|running (?:late|a bit|\\w+ late|behind)|minutes? late|min late|be (?:there|late)|bit late|parking|parked"
              + "|outside|traffic|stuck|early|here with|in the lot|in the waiting|still on|drop(?:ping)? off|get there|be late)\\b");

  private final Reading reading;
  private final Rarity rarity;
  private final Instant asOf;
  private final ZoneId zone;
  private final boolean coming;
  private final double own;

  TalkClues(Reading reading, Inquiry inquiry, Rarity rarity) {
    this.reading = reading;
    this.rarity = rarity;
    asOf = inquiry.asOf();
    zone = inquiry.zone();
    coming = COMING.matcher(reading.plain()).find();
    own = ofTheirOwn(reading);
  }

  /**
   * How much it says that a text speaks of what a customer speaks of. Who asks as strangers ask
   * speaks of what any customer might.
   */
  static double ofTheirOwn(Reading reading) {
    return Stranger.asksAsVisitor(reading) ? OF_A_VISITOR : 1;
  }

  List<Evidence> of(Profile profile) {
    List<Evidence> found = new ArrayList<>();
    Optional<Spoken> question = openQuestion(profile, asOf);
    Set<String> names = names(profile);
    question.ifPresent(asked -> answers(asked, names, found));
    matter(profile, names, question, found);
    expected(profile, found);
    justWrote(profile).ifPresent(found::add);
    return found;
  }

  /** What we asked them in the last days, when that was the last that was said. */
  static Optional<Spoken> openQuestion(Profile profile, Instant asOf) {
    List<Spoken> said = profile.said().stream().filter(text -> !text.at().isAfter(asOf)).toList();
    return question(said).filter(asked -> !asked.at().isBefore(asOf.minus(ASKED_LATELY)));
  }

  /** When we asked something that is not answered yet. */
  static Optional<Instant> lastQuestion(List<Spoken> said) {
    return question(said).map(Spoken::at);
  }

  private static Optional<Spoken> question(List<Spoken> said) {
    if (said.isEmpty()) {
      return Optional.empty();
    }
    Spoken last = said.get(said.size() - 1);
    return last.ours() && ASKS.matcher(last.words()).find() ? Optional.of(last) : Optional.empty();
  }

  private void answers(Spoken asked, Set<String> names, List<Evidence> found) {
    Shared shared = shared(Stems.of(Wording.words(asked.words())), names);
    if (shared.much() > 0) {
      found.add(
          new Evidence(
              Clue.ANSWERS, own * shared.much(), "We asked them: " + quoted(asked.words())));
    }
    double fits = Questions.fit(asked.words(), reading);
    if (fits > 0) {
      double days = Duration.between(asked.at(), asOf).toHours() / 24.0;
      found.add(
          new Evidence(Clue.ASKED, fits / (1 + days / 3), "We wait for an answer of theirs."));
    }
  }

  private void matter(
      Profile profile, Set<String> names, Optional<Spoken> question, List<Evidence> found) {
    List<String> matters = new ArrayList<>();
    for (Spoken text : lately(profile, asOf)) {
      if (question.filter(text::equals).isEmpty()) {
        matters.addAll(Stems.of(Wording.words(text.words())));
      }
    }
    profile.jobs().forEach(job -> matters.addAll(Stems.of(Wording.words(job.what()))));
    appointments(profile, asOf)
        .forEach(appointment -> matters.addAll(Stems.of(Wording.words(appointment.what()))));
    profile.notes().forEach(note -> matters.addAll(Stems.of(Wording.words(note))));
    Shared shared = shared(matters, names);
    if (shared.much() > 0) {
      String quoted = shared.quoted();
      String what =
          quoted.isEmpty()
              ? "It fits what is going on with them."
              : "Fits what is going on with them: " + quoted + ".";
      found.add(new Evidence(Clue.MATTER, own * shared.much(), what));
    }
  }

  static List<Spoken> lately(Profile profile, Instant asOf) {
    return profile.said().stream()
        .filter(text -> !text.at().isBefore(asOf.minus(LATELY)) && !text.at().isAfter(asOf))
        .toList();
  }

  /** Those to come, and of the last weeks. */
  static List<Profile.Appointment> appointments(Profile profile, Instant asOf) {
    return profile.appointments().stream()
        .filter(one -> one.startsAt().isAfter(asOf.minus(LATELY)))
        .toList();
  }

  /** What the text speaks of that stands among these stems too. */
  private Shared shared(List<String> stems, Set<String> names) {
    double sum = 0;
    List<String> words = new ArrayList<>();
    for (String stem : new TreeSet<>(stems)) {
      boolean counts =
          !names.contains(stem) && rarity.named(stem) == 0 && rarity.detailed(stem) == 0;
      if (counts && reading.stems().contains(stem)) {
        double weight = Stems.weight(stem) * Rarity.of(rarity.speakingOf(stem));
        sum += weight;
        if (weight > QUOTED) {
          words.add(reading.wordOf(stem));
        }
      }
    }
    return new Shared(1 - Math.exp(-sum), words);
  }

  /**
   * What a text and something else speak of.
   *
   * @param much 0 to 1
   */
  private record Shared(double much, List<String> words) {
    String quoted() {
      return words.stream()
          .limit(MOST_QUOTED)
          .map(word -> "“" + word + "”")
          .collect(Collectors.joining(", "));
    }
  }

  /** Names and details count by themselves. */
  private static Set<String> names(Profile profile) {
    Set<String> names = new HashSet<>();
    List<String> all = new ArrayList<>(profile.contacts());
    all.add(profile.name());
    profile.details().forEach(detail -> all.add(detail.value()));
    for (String each : all) {
      names.addAll(Stems.of(Wording.words(each)));
    }
    return names;
  }

  private void expected(Profile profile, List<Evidence> found) {
    LocalDate today = asOf.atZone(zone).toLocalDate();
    double best = 0;
    boolean time = false;
    String what = "";
    for (Profile.Appointment appointment : profile.appointments()) {
      LocalDate day = appointment.startsAt().atZone(zone).toLocalDate();
      double near =
          day.equals(today)
              ? 1
              : day.equals(today.plusDays(1))
                  ? 0.5
                  : day.isAfter(today) && day.isBefore(today.plusDays(4)) ? 0.25 : 0;
      if (near > best) {
        best = near;
        what = appointment.what();
      }
      time |= near > 0 && saysTime(appointment.startsAt());
    }
    if (best > 0) {
      found.add(new Evidence(Clue.EXPECTED, best, "They are expected: " + what + "."));
      if (coming) {
        found.add(
            new Evidence(Clue.COMING, best, "They are expected, and the text speaks of coming."));
      }
      if (time) {
        found.add(new Evidence(Clue.TIME, 1, "The text says the time of their appointment."));
      }
    }
  }

  private static final List<String> HOURS =
      List.of(
          "twelve", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten",
          "eleven");

  private boolean saysTime(Instant at) {
    int hour = at.atZone(zone).getHour() % 12;
    int minute = at.atZone(zone).getMinute();
    String plain = " " + reading.plain() + " ";
    String twelve = String.valueOf(hour == 0 ? 12 : hour);
    if (minute == 0) {
      return Pattern.compile(" (?:at|for|by|of) (?:" + twelve + "|" + HOURS.get(hour) + ") ")
              .matcher(plain)
              .find()
          || plain.contains(" " + twelve + " 00 ");
    }
    return plain.contains(" " + twelve + " " + minute + " ")
        || plain.contains(" " + twelve + minute + " ");
  }

  private Optional<Evidence> justWrote(Profile profile) {
    boolean just =
        profile.said().stream()
            .anyMatch(text ->
                !text.ours()
                    && !text.at().isAfter(asOf)
                    && text.at().isAfter(asOf.minus(JUST_NOW)));
    return just
        ? Optional.of(
            new Evidence(Clue.JUST_WROTE, 1, "They wrote from their own number not long before."))
        : Optional.empty();
  }

  /** What was said, between quotation marks and not too long. */
  static String quoted(String words) {
    return "“" + (words.length() <= 80 ? words : words.substring(0, 79) + "…") + "”";
  }
}
