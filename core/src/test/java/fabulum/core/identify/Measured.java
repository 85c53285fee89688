package fabulum.core.identify;

import fabulum.core.identify.LabelledSet.LabelledCase;
import fabulum.core.identify.Ranking.Likely;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** How well a set of cases is answered. */
final class Measured {
  static final int CANDIDATES = 60;
  private static final int BINS = 10;

  private int cases;
  private int known;
  private int top1;
  private int top3;
  private int knownTop1;
  private int wrongAndSure;
  private int unknown;
  private int unknownRight;
  private final int[] binned = new int[BINS];
  private final int[] rightOfBin = new int[BINS];
  private final double[] sumOfBin = new double[BINS];
  private final List<String> misses = new ArrayList<>();

  void add(
      LabelledSet set,
      Directory directory,
      Map<Long, Profile> profiles,
      Weights weights,
      Optional<Sense> sense) {
    for (LabelledCase one : set.cases()) {
      List<Profile> found = found(one.inquiry(), directory, profiles);
      add(
          set,
          one,
          Identifier.rank(Identifier.evidence(one.inquiry(), found, directory, sense), weights));
    }
  }

  /** Those who are weighed for an inquiry. */
  static List<Profile> found(Inquiry inquiry, Directory directory, Map<Long, Profile> profiles) {
    return directory.candidates(inquiry, CANDIDATES).stream().map(profiles::get).toList();
  }

  static Map<Long, Profile> byId(List<Profile> all) {
    Map<Long, Profile> profiles = new HashMap<>();
    all.forEach(one -> profiles.put(one.id(), one));
    return profiles;
  }

  private record Place(Optional<Long> who, double likelihood) {}

  private void add(LabelledSet set, LabelledCase one, Ranking ranking) {
    List<Place> places = new ArrayList<>();
    places.add(new Place(Optional.empty(), ranking.nobody()));
    for (Likely each : ranking.likely()) {
      places.add(new Place(Optional.of(each.customer()), each.likelihood()));
    }
    places.sort((a, b) -> Double.compare(b.likelihood(), a.likelihood()));
    Place first = places.get(0);
    boolean right = first.who().equals(one.truth());
    cases++;
    top1 += right ? 1 : 0;
    top3 += places.stream().limit(3).anyMatch(place -> place.who().equals(one.truth())) ? 1 : 0;
    wrongAndSure += !right && first.likelihood() > 0.9 ? 1 : 0;
    if (one.truth().isPresent()) {
      known++;
      knownTop1 += right ? 1 : 0;
    } else {
      unknown++;
      unknownRight += right ? 1 : 0;
    }
    int bin = Math.min(BINS - 1, (int) (first.likelihood() * BINS));
    binned[bin]++;
    sumOfBin[bin] += first.likelihood();
    rightOfBin[bin] += right ? 1 : 0;
    if (!right) {
      misses.add(miss(set, one, ranking, first));
    }
  }

  private static String miss(LabelledSet set, LabelledCase one, Ranking ranking, Place first) {
    String truth = one.truth().map(id -> set.keys().get(id)).orElse("nobody");
    String said = one.inquiry().texts().get(one.inquiry().texts().size() - 1).words();
    String evidence =
        ranking.likely().stream()
            .filter(each -> one.truth().filter(id -> id == each.customer()).isPresent())
            .map(each ->
                String.format(Locale.ROOT, "%.2f ", each.likelihood()) + brief(each.evidence()))
            .findFirst()
            .orElse("-");
    String chosen =
        ranking.likely().stream()
            .filter(each -> first.who().filter(id -> id == each.customer()).isPresent())
            .map(each -> brief(each.evidence()))
            .findFirst()
            .orElse("");
    return String.format(
        Locale.ROOT,
        "%s %s%n    truth %s %s%n    said %s %.2f %s | nobody %.2f %s",
        one.id(),
        said,
        truth,
        evidence,
        first.who().map(id -> set.keys().getOrDefault(id, "filler")).orElse("nobody"),
        first.likelihood(),
        chosen,
        ranking.nobody(),
        brief(ranking.nobodysEvidence()));
  }

  private static String brief(List<Ranking.Weighed> evidence) {
    return evidence.stream()
        .map(one -> String.format(Locale.ROOT, "%s %.1f", one.evidence().clue(), one.points()))
        .toList()
        .toString();
  }

  double top1() {
    return (double) top1 / cases;
  }

  double top3() {
    return (double) top3 / cases;
  }

  double wrongAndSure() {
    return (double) wrongAndSure / cases;
  }

  double unknownRight() {
    return (double) unknownRight / unknown;
  }

  List<String> misses() {
    return misses;
  }

  @Override
  public String toString() {
    StringBuilder table = new StringBuilder();
    table.append(
        String.format(
            Locale.ROOT,
            "%d cases: top-1 %.1f %%, top-3 %.1f %%, wrong above 90 %%: %.1f %% (%d), unknown as unknown %.1f %% (of %d), known top-1 %.1f %%%n",
            cases,
            100 * top1(),
            100 * top3(),
            100 * wrongAndSure(),
            wrongAndSure,
            100 * unknownRight(),
            unknown,
            100.0 * knownTop1 / known));
    for (int i = 0; i < BINS; i++) {
      if (binned[i] > 0) {
        table.append(
            String.format(
                Locale.ROOT,
                "  said %.0f to %.0f %%: %d cases, mean %.0f %%, right %.0f %%%n",
                10.0 * i,
                10.0 * i + 10,
                binned[i],
                100 * sumOfBin[i] / binned[i],
                100.0 * rightOfBin[i] / binned[i]));
      }
    }
    return table.toString();
  }
}
