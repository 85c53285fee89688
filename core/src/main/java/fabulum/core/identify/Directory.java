package fabulum.core.identify;

import fabulum.core.phone.PhoneNumber;
import fabulum.core.text.Tokens;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
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
    Set<String> terms = terms(profile);
    for (String term : terms) {
      holders.computeIfAbsent(term, none -> new HashSet<>(2)).add(profile.id());
      if (isFuzzy(term)) {
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
    Set<Long> area = holders.getOrDefault("a:" + NumberClues.area(number), Set.of());
    if (area.size() <= COMMON) {
      area.forEach(id -> points.merge(id, 0.2 * Rarity.of(area.size()), Double::sum));
    }
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

  private static boolean isFuzzy(String term) {
    return (term.startsWith("n:") || term.startsWith("d:")) && term.length() >= SHORTEST_FUZZY + 2;
  }

  private static Set<String> terms(Profile profile) {
    Set<String> terms = new HashSet<>();
    names(List.of(profile.name()), terms);
    names(profile.contacts(), terms);
    for (Profile.Detail detail : profile.details()) {
      List<String> tokens = Tokens.of(detail.value());
      terms.add("d:" + String.join("", tokens));
      for (int i = 0; i < tokens.size(); i++) {
        addDetail(tokens.get(i), terms);
        if (i + 1 < tokens.size()) {
          addDetail(tokens.get(i) + tokens.get(i + 1), terms);
        }
      }
    }
    for (String note : profile.notes()) {
      for (Word word : Wording.words(note)) {
        if (word.capital() && word.plain().length() > 2 && !CommonWords.contains(word.plain())) {
          terms.add("n:" + word.plain());
          Nicknames.rows(word.plain()).forEach(row -> terms.add("f:" + row));
        }
      }
      String digits = note.replaceAll("(?<=\\d)[\\s().\\-/]+(?=\\d)", "");
      for (String run : digits.split("\\D+")) {
        if (run.length() >= 10) {
          terms.add("p:+1" + run.substring(run.length() - 10));
          terms.add("p:+" + run);
        }
      }
    }
    for (Profile.Held held : profile.numbers()) {
      terms.add("p:" + held.number().e164());
      terms.add("a:" + NumberClues.area(held.number()));
    }
    profile.email().ifPresent(mail -> terms.add("m:" + mail.toLowerCase(Locale.ROOT)));
    FileClues.references(profile).forEach(reference -> terms.add("r:" + reference));
    matters(profile).forEach(stem -> terms.add("t:" + stem));
    return terms;
  }

  private static void addDetail(String token, Set<String> terms) {
    if (token.length() >= 3 && !CommonWords.contains(token)) {
      terms.add("d:" + token);
    }
  }

  private static void names(Collection<String> names, Set<String> terms) {
    for (String name : names) {
      for (String part : PersonName.of(name).parts()) {
        terms.add("n:" + part);
        Nicknames.rows(part).forEach(row -> terms.add("f:" + row));
      }
    }
  }

  private static Set<String> matters(Profile profile) {
    Set<String> stems = new HashSet<>();
    profile.said().forEach(text -> stems.addAll(Stems.of(Wording.words(text.words()))));
    profile.jobs().forEach(job -> stems.addAll(Stems.of(Wording.words(job.what()))));
    profile.appointments().forEach(one -> stems.addAll(Stems.of(Wording.words(one.what()))));
    profile.notes().forEach(note -> stems.addAll(Stems.of(Wording.words(note))));
    return stems;
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

  /** Names and details by length, each with the letters it has, so that few need be compared. */
  private static final class Vocabulary {
    private final Map<Integer, Shelf> byLength = new HashMap<>();
    private final Map<String, Set<String>> bySound = new HashMap<>();
    private final Map<String, Set<String>> byConsonants = new HashMap<>();

    void add(String term) {
      String word = term.substring(2);
      byLength.computeIfAbsent(word.length(), none -> new Shelf()).add(term);
      bySound.computeIfAbsent(Likeness.sound(word), none -> new HashSet<>(2)).add(term);
      byConsonants.computeIfAbsent(Likeness.consonants(word), none -> new HashSet<>(2)).add(term);
    }

    void remove(String term) {
      if (isFuzzy(term)) {
        String word = term.substring(2);
        Objects.requireNonNull(byLength.get(word.length())).remove(term);
        Objects.requireNonNull(bySound.get(Likeness.sound(word))).remove(term);
        Objects.requireNonNull(byConsonants.get(Likeness.consonants(word))).remove(term);
      }
    }

    Set<String> like(String word) {
      Set<String> found = new HashSet<>();
      int allowed = word.length() < 7 ? 1 : 2;
      for (int length = word.length() - allowed; length <= word.length() + allowed; length++) {
        Shelf shelf = byLength.get(length);
        if (shelf != null) {
          shelf.like(word, allowed, found);
        }
      }
      String sound = Likeness.sound(word);
      if (sound.length() >= 3) {
        found.addAll(bySound.getOrDefault(sound, Set.of()));
      }
      String consonants = Likeness.consonants(word);
      if (consonants.length() >= 3) {
        found.addAll(byConsonants.getOrDefault(consonants, Set.of()));
      }
      return found;
    }
  }

  private static final class Shelf {
    private final List<String> terms = new ArrayList<>();
    private final Map<String, Integer> places = new HashMap<>();
    private final int[][] letters = {new int[16]};

    void add(String term) {
      if (places.containsKey(term)) {
        return;
      }
      if (terms.size() == letters[0].length) {
        letters[0] = Arrays.copyOf(letters[0], 2 * terms.size());
      }
      letters[0][terms.size()] = Likeness.letters(term.substring(2));
      places.put(term, terms.size());
      terms.add(term);
    }

    void remove(String term) {
      Integer at = places.remove(term);
      if (at == null) {
        return;
      }
      int end = terms.size() - 1;
      String last = terms.remove(end);
      if (at != end) {
        terms.set(at, last);
        letters[0][at] = letters[0][end];
        places.put(last, at);
      }
    }

    void like(String word, int allowed, Set<String> found) {
      int own = Likeness.letters(word);
      for (int i = 0; i < terms.size(); i++) {
        if (Integer.bitCount(own ^ letters[0][i]) <= 2 * allowed
            && Likeness.of(word, terms.get(i).substring(2)) > 0) {
          found.add(terms.get(i));
        }
      }
    }
  }
}
