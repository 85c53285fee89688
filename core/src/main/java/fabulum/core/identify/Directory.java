package fabulum.core.identify;

import fabulum.core.phone.PhoneNumber;
import fabulum.core.reading.Nicknames;
import fabulum.core.reading.Rarity;
import fabulum.core.reading.Reading;
import fabulum.core.reading.Stems;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/**
 * Everyone on file by what could give them away in a text, in memory: finds the few who may be the
 * writer among very many. Not safe for use by several threads while it changes.
 */
public final class Directory implements Rarity {
  private static final int SHORTEST_FUZZY = 4;
  private static final int LONGEST_NAME_WINDOW = 3;
  private static final int COMMON = 400;
  private static final double WHOLE_DETAIL = 2.5;
  private static final double MATTER = 0.7;

  private final Map<Long, List<String>> termsOf = new HashMap<>();
  private final Map<String, Set<Long>> holders = new HashMap<>();
  private final Vocabulary vocabulary = new Vocabulary();
  private final Map<Long, Instant> askedAt = new HashMap<>();
  private final Map<Long, List<Instant>> expectedAt = new HashMap<>();

  /** Adds a customer, or replaces what was known of them. */
  public void put(Profile profile) {
    remove(profile.id());
    Set<String> terms = ClueTerms.of(profile);
    for (String term : terms) {
      holders.computeIfAbsent(term, none -> new HashSet<>(2)).add(profile.id());
      if (Vocabulary.isFuzzy(term)) {
        vocabulary.add(term);
      }
    }
    termsOf.put(profile.id(), List.copyOf(terms));
    TalkClues.lastQuestion(profile.said()).ifPresent(at -> askedAt.put(profile.id(), at));
    if (!profile.appointments().isEmpty()) {
      expectedAt.put(
          profile.id(),
          profile.appointments().stream().map(Profile.Appointment::startsAt).toList());
    }
  }

  /** Takes a customer out. */
  public void remove(long id) {
    List<String> terms = termsOf.remove(id);
    if (terms == null) {
      return;
    }
    for (String term : terms) {
      Set<Long> left = Objects.requireNonNull(holders.get(term));
      left.remove(id);
      if (left.isEmpty()) {
        holders.remove(term);
        vocabulary.remove(term);
      }
    }
    askedAt.remove(id);
    expectedAt.remove(id);
  }

  /** How many customers there are. */
  public int size() {
    return termsOf.size();
  }

  /**
   * Those who may have written, the most promising first.
   *
   * @param limit how many at most
   */
  public List<Long> candidates(Inquiry inquiry, int limit) {
    Reading reading = Identifier.read(inquiry);
    Map<Long, Double> points = new HashMap<>();
    inquiry.number().ifPresent(number -> byNumber(number, points));
    byWords(reading, points);
    inquiry.registeredTo().ifPresent(name -> byWords(Reading.of(List.of(name)), points));
    for (String reference : FileClues.references(reading.written())) {
      give("r:" + reference, 6, points);
    }
    for (String word : reading.written().toLowerCase(Locale.ROOT).split("[\\s,;<>()]+")) {
      if (word.contains("@")) {
        give("m:" + word.replaceAll("[.!?]+$", ""), 6, points);
      }
    }
    Instant asOf = inquiry.asOf();
    askedAt.forEach((id, at) -> {
      if (!at.isAfter(asOf) && at.isAfter(asOf.minus(TalkClues.ASKED_LATELY))) {
        points.merge(id, 0.5, Double::sum);
      }
    });
    expectedAt.forEach((id, times) -> {
      if (times.stream()
          .anyMatch(at ->
              at.isAfter(asOf.minusSeconds(86_400)) && at.isBefore(asOf.plusSeconds(172_800)))) {
        points.merge(id, 0.5, Double::sum);
      }
    });
    return points.entrySet().stream()
        .sorted(
            Map.Entry.<Long, Double>comparingByValue(Comparator.reverseOrder())
                .thenComparing(Map.Entry.comparingByKey()))
        .limit(limit)
        .map(Map.Entry::getKey)
        .toList();
  }

  private void byNumber(PhoneNumber number, Map<Long, Double> points) {
    give("p:" + number.e164(), 9, points);
    for (String near : neighbours(number.e164())) {
      give("p:" + near, 5, points);
    }
    give("a:" + NumberClues.area(number), 0.2, points);
  }

  /** Numbers with one digit changed, left out or put in, or with two neighbours swapped. */
  static Set<String> neighbours(String e164) {
    Set<String> near = new HashSet<>();
    for (int i = 1; i < e164.length(); i++) {
      String before = e164.substring(0, i);
      String after = e164.substring(i + 1);
      near.add(before + after);
      for (char digit = '0'; digit <= '9'; digit++) {
        near.add(before + digit + after);
        near.add(before + digit + e164.substring(i));
      }
      if (i + 1 < e164.length()) {
        near.add(before + e164.charAt(i + 1) + e164.charAt(i) + e164.substring(i + 2));
      }
    }
    for (char digit = '0'; digit <= '9'; digit++) {
      near.add(e164 + digit);
    }
    near.remove(e164);
    return near;
  }

  private void byWords(Reading reading, Map<Long, Double> points) {
    Set<String> seen = new HashSet<>();
    for (Reading.Window window : reading.windows()) {
      String text = window.compact();
      if (!seen.add(text)) {
        continue;
      }
      double worth = window.common() ? 0.5 : 2;
      give("n:" + text, worth, points);
      give("d:" + text, worth * WHOLE_DETAIL, points);
      if (!window.common()
          && text.length() >= SHORTEST_FUZZY
          && window.length() <= LONGEST_NAME_WINDOW) {
        for (String alike : vocabulary.like(text)) {
          give(alike, 1.5, points);
        }
      }
      if (window.length() == 1) {
        for (int row : Nicknames.rows(text)) {
          give("f:" + row, 1.5, points);
        }
      }
    }
    for (String stem : reading.stems()) {
      give("t:" + stem, Stems.weight(stem) * MATTER, points);
    }
  }

  private void give(String term, double worth, Map<Long, Double> points) {
    Set<Long> who = holders.get(term);
    if (who != null && who.size() <= COMMON) {
      double each = worth * Rarity.of(who.size());
      who.forEach(id -> points.merge(id, each, Double::sum));
    }
  }

  @Override
  public int named(String plain) {
    return count("n:" + plain);
  }

  @Override
  public int detailed(String plain) {
    return count("d:" + plain);
  }

  @Override
  public int speakingOf(String stem) {
    return count("t:" + stem);
  }

  @Override
  public int inArea(String area) {
    return count("a:" + area);
  }

  private int count(String term) {
    Set<Long> who = holders.get(term);
    return who == null ? 0 : who.size();
  }
}
