package fabulum.core.identify;

import fabulum.core.identify.NameFinder.Match;
import fabulum.core.identify.Ranking.Likely;
import fabulum.core.identify.Ranking.Weighed;
import fabulum.core.meaning.Meaning;
import fabulum.core.reading.PersonName;
import fabulum.core.reading.Rarity;
import fabulum.core.reading.Reading;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Works out who probably wrote. Each candidate, and nobody, has points: the sum of what the
 * evidence counts. Likelihoods are shares of the exponentials of the points (conditional logistic
 * regression).
 */
public final class Identifier {
  /**
   * Likelihoods are drawn a little towards each other: people and places that nobody has thought of
   * are less plain than those the weights were fitted to, and too sure is worse than too unsure.
   */
  private static final double CAUTION = 0.75;

  /**
   * How many candidates share with "nobody we know"; the others together would outweigh those by
   * their number alone, each for next to no reason.
   */
  private static final int COUNTED = 8;

  private Identifier() {}

  /** Evidence of a candidate. */
  record Candidate(long id, List<Evidence> evidence) {}

  /** Evidence of all candidates and of nobody. */
  record Case(List<Candidate> candidates, List<Evidence> nobody) {}

  /**
   * Ranks candidates.
   *
   * @param candidates those found in the directory
   * @param directory says how rare a word is
   * @param meaning where words lie, at length 1; empty to go by the words alone
   */
  public static Ranking rank(
      Inquiry inquiry, List<Profile> candidates, Directory directory, Optional<Meaning> meaning) {
    return rank(
        evidence(inquiry, candidates, directory, meaning.map(Sense::of)),
        Weights.fitted(meaning.isPresent()));
  }

  /** All words whose meaning is looked up while candidates are ranked. */
  public static Set<String> meant(Inquiry inquiry, List<Profile> candidates) {
    return MeaningClues.words(inquiry, candidates);
  }

  static Reading read(Inquiry inquiry) {
    return Reading.of(
        inquiry.texts().stream().filter(text -> !text.ours()).map(Spoken::words).toList());
  }

  /** A name by which the writer introduces themselves; empty for none. */
  public static String nameIn(Inquiry inquiry) {
    return read(inquiry).introducedName();
  }

  static Case evidence(
      Inquiry inquiry, List<Profile> candidates, Rarity rarity, Optional<Sense> sense) {
    Reading reading = read(inquiry);
    Reading ours =
        Reading.of(inquiry.texts().stream().filter(Spoken::ours).map(Spoken::words).toList());
    NumberClues numbers = new NumberClues(inquiry, rarity);
    RegisteredClues registered = new RegisteredClues(inquiry, rarity);
    NameClues names = new NameClues(reading, rarity);
    NameFinder namedByUs = new NameFinder(ours, rarity);
    FileClues file = new FileClues(reading, rarity);
    TalkClues talk = new TalkClues(reading, inquiry, rarity);
    Optional<MeaningClues> meant =
        sense.map(one -> new MeaningClues(reading, inquiry, candidates, one.meaning()));
    List<Candidate> all = new ArrayList<>();
    for (Profile profile : candidates) {
      List<Evidence> evidence = new ArrayList<>(numbers.of(profile));
      registered.of(profile).ifPresent(evidence::add);
      evidence.addAll(names.of(profile));
      evidence.addAll(file.of(profile));
      evidence.addAll(talk.of(profile));
      meant.flatMap(clues -> clues.of(profile)).ifPresent(evidence::add);
      weNamed(profile, namedByUs, evidence);
      together(evidence).ifPresent(evidence::add);
      all.add(new Candidate(profile.id(), evidence));
    }
    List<Evidence> nobody = Stranger.of(reading, hasNewName(reading, all, rarity));
    sense.map(one -> one.stranger(inquiry)).ifPresent(nobody::addAll);
    return new Case(all, nobody);
  }

  /** What is shared with others each by itself may be shared with nobody both at once. */
  private static Optional<Evidence> together(List<Evidence> evidence) {
    double name =
        strength(evidence, EnumSet.of(Clue.FIRST_NAME, Clue.MENTIONED, Clue.LAST_NAME, Clue.FIRM));
    double detail = strength(evidence, EnumSet.of(Clue.DETAIL, Clue.PART_OF_DETAIL));
    return name > 0 && detail > 0
        ? Optional.of(
            new Evidence(Clue.TOGETHER, 1 - name * detail, "Name and detail are both theirs."))
        : Optional.empty();
  }

  private static double strength(List<Evidence> evidence, Set<Clue> clues) {
    return evidence.stream()
        .filter(one -> clues.contains(one.clue()))
        .mapToDouble(Evidence::strength)
        .max()
        .orElse(0);
  }

  private static void weNamed(Profile profile, NameFinder namedByUs, List<Evidence> evidence) {
    List<String> persons = new ArrayList<>(profile.contacts());
    persons.add(profile.name());
    double best = 0;
    for (String person : persons) {
      Match match = namedByUs.match(PersonName.of(person));
      double quality =
          match.isFull() ? 1 : Math.max(match.first().quality(), match.last().quality());
      best = Math.max(best, quality >= 0.8 ? quality : 0);
    }
    if (best > 0) {
      evidence.add(
          new Evidence(Clue.WE_NAMED_THEM, best, "We wrote to this number: it names them."));
    }
  }

  /** Whether they give a name that fits none of the candidates. */
  private static boolean hasNewName(Reading reading, List<Candidate> all, Rarity rarity) {
    boolean says = reading.introductions().stream().anyMatch(at -> reading.isNameLike(at, rarity));
    return says
        && all.stream()
            .allMatch(one ->
                one.evidence().stream()
                    .anyMatch(
                        e -> e.clue() == Clue.OTHER_NAME || e.clue() == Clue.OTHER_LAST_NAME));
  }

  static Ranking rank(Case all, Weights weights) {
    List<Weighed> nobody = weighed(all.nobody(), weights);
    double most = sum(nobody);
    List<List<Weighed>> each = new ArrayList<>();
    for (Candidate candidate : all.candidates()) {
      List<Weighed> weighed = weighed(candidate.evidence(), weights);
      each.add(weighed);
      most = Math.max(most, sum(weighed));
    }
    double first = most;
    List<Likely> likely =
        IntStream.range(0, each.size())
            .mapToObj(i ->
                new Likely(
                    all.candidates().get(i).id(), Math.exp(sum(each.get(i)) - first), each.get(i)))
            .sorted(
                Comparator.comparingDouble(Likely::likelihood)
                    .reversed()
                    .thenComparing(Likely::customer))
            .toList();
    double none = Math.exp(sum(nobody) - most);
    double total = none + likely.stream().limit(COUNTED).mapToDouble(Likely::likelihood).sum();
    List<Likely> shares = new ArrayList<>();
    for (Likely one : likely) {
      double share = shares.size() < COUNTED ? one.likelihood() / total : 0;
      shares.add(new Likely(one.customer(), share, one.evidence()));
    }
    return new Ranking(shares, none / total, nobody);
  }

  private static List<Weighed> weighed(List<Evidence> evidence, Weights weights) {
    return evidence.stream()
        .map(one -> new Weighed(one, weights.of(one)))
        .sorted(Comparator.comparingDouble((Weighed one) -> Math.abs(one.points())).reversed())
        .toList();
  }

  private static double sum(List<Weighed> all) {
    return CAUTION * all.stream().mapToDouble(Weighed::points).sum();
  }
}
