package fabulum.core.identify;

import fabulum.core.meaning.Meaning;
import fabulum.core.meaning.Points;
import fabulum.core.reading.Reading;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Evidence from what texts mean, in whatever words. What counts is by how much a candidate's
 * question or matter is nearer to the text than those of the others: most texts are a little like
 * most questions.
 */
final class MeaningClues {
  /** Of a customer's texts, the latest; and of their jobs, appointments and notes together. */
  private static final int SAID = 6;

  private static final int ABOUT = 10;

  /** How much of the likeness of the others is taken off. */
  private static final double OF_OTHERS = 0.8;

  /** How alike any two texts may be by chance. */
  private static final double BY_CHANCE = 0.05;

  /** More alike says no more. */
  private static final double MOST = 0.5;

  private static final int OTHERS = 2;

  /** The model reads no further. */
  private static final int LONGEST = 2_000;

  private final double own;
  private final Map<Long, Near> question = new HashMap<>();
  private final Map<Long, Near> matter = new HashMap<>();

  /** The most alike of what a candidate was asked or speaks of. */
  private record Near(String words, double likeness) {}

  /**
   * Compares.
   *
   * @param meaning where words lie, at length 1
   */
  MeaningClues(Reading reading, Inquiry inquiry, List<Profile> candidates, Meaning meaning) {
    own = TalkClues.ofTheirOwn(reading);
    float[] text = meaning.of(text(inquiry));
    for (Profile profile : candidates) {
      question(profile, inquiry.asOf())
          .ifPresent(asked -> question.put(profile.id(), near(text, asked, meaning)));
      matters(profile, inquiry.asOf()).stream()
          .map(words -> near(text, words, meaning))
          .max(Comparator.comparingDouble(Near::likeness))
          .ifPresent(best -> matter.put(profile.id(), best));
    }
  }

  /** All words whose meaning is looked up. */
  static Set<String> words(Inquiry inquiry, List<Profile> candidates) {
    Set<String> words = new LinkedHashSet<>();
    words.add(text(inquiry));
    for (Profile profile : candidates) {
      question(profile, inquiry.asOf()).ifPresent(words::add);
      words.addAll(matters(profile, inquiry.asOf()));
    }
    return words;
  }

  /** The stronger of the two: both at once would count the same likeness twice. */
  Optional<Evidence> of(Profile profile) {
    double answer = more(question, profile);
    double other = more(matter, profile);
    if (Math.max(answer, other) <= 0) {
      return Optional.empty();
    }
    return Optional.of(
        answer >= other
            ? evidence(Clue.MEANS_ANSWER, answer, question, profile, "an answer to what we asked")
            : evidence(Clue.MEANS_MATTER, other, matter, profile, "what is going on with them"));
  }

  private Evidence evidence(
      Clue clue, double more, Map<Long, Near> all, Profile profile, String what) {
    String words = TalkClues.quoted(Objects.requireNonNull(all.get(profile.id())).words());
    return new Evidence(clue, own * Math.min(MOST, more), "Sounds like " + what + ": " + words);
  }

  /** By how much it is more alike than that of the others. */
  private static double more(Map<Long, Near> all, Profile profile) {
    Near own = all.get(profile.id());
    if (own == null) {
      return 0;
    }
    double others =
        all.entrySet().stream()
            .filter(each -> each.getKey() != profile.id())
            .map(each -> each.getValue().likeness())
            .sorted(Comparator.reverseOrder())
            .limit(OTHERS)
            .mapToDouble(Double::doubleValue)
            .average()
            .orElse(0);
    return own.likeness() - Math.max(BY_CHANCE, OF_OTHERS * others);
  }

  private static Near near(float[] text, String words, Meaning meaning) {
    return new Near(words, Points.likeness(text, meaning.of(words)));
  }

  /** All words of theirs, as they are looked up. */
  static String text(Inquiry inquiry) {
    return cut(
        inquiry.texts().stream()
            .filter(text -> !text.ours())
            .map(Spoken::words)
            .collect(Collectors.joining("\n")));
  }

  private static Optional<String> question(Profile profile, Instant asOf) {
    return TalkClues.openQuestion(profile, asOf).map(asked -> cut(asked.words()));
  }

  private static List<String> matters(Profile profile, Instant asOf) {
    Optional<Spoken> question = TalkClues.openQuestion(profile, asOf);
    List<Spoken> said =
        TalkClues.lately(profile, asOf).stream()
            .filter(text -> question.filter(text::equals).isEmpty())
            .toList();
    List<String> about = new ArrayList<>();
    profile.jobs().forEach(job -> about.add(job.what()));
    TalkClues.appointments(profile, asOf).forEach(appointment -> about.add(appointment.what()));
    about.addAll(profile.notes());
    List<String> matters = new ArrayList<>();
    said.subList(Math.max(0, said.size() - SAID), said.size())
        .forEach(text -> matters.add(cut(text.words())));
    about.stream().limit(ABOUT).forEach(words -> matters.add(cut(words)));
    return matters;
  }

  private static String cut(String words) {
    return words.length() <= LONGEST ? words : words.substring(0, LONGEST);
  }
}
