package fabulum.server.history;

import fabulum.core.meaning.Meaning;
import fabulum.core.meaning.PackedMeaning;
import fabulum.server.conversations.EntryKind;
import fabulum.server.history.MeaningIndex.Meant;
import fabulum.server.history.store.SaidRow;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** What was said, as far as it means anything. */
final class MeantRows {
  /** The model reads no further. */
  private static final int LONGEST = 2_000;

  private MeantRows() {}

  /** Whether there is anything that it could mean. */
  static boolean isMeant(SaidRow row) {
    return row.kind() != EntryKind.EVENT && row.words() != null && !row.words().isBlank();
  }

  private static String words(SaidRow row) {
    String words = Objects.requireNonNullElse(row.words(), "");
    return words.length() > LONGEST ? words.substring(0, LONGEST) : words;
  }

  /** Tells whether its words are still those that were read. */
  static long hash(SaidRow row) {
    String words = words(row);
    return (long) words.hashCode() << 32 | words.length();
  }

  /** What rows mean, those that mean anything; the same words are read once. */
  static List<Meant> of(List<SaidRow> found, Meaning meaning) {
    Map<String, byte[]> points = new HashMap<>();
    return found.stream()
        .filter(MeantRows::isMeant)
        .map(row ->
            new Meant(
                row.id(),
                row.conversationId(),
                hash(row),
                points.computeIfAbsent(words(row), words -> PackedMeaning.pack(meaning.of(words)))))
        .toList();
  }
}
