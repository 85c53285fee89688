package fabulum.server.history;

import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.EventKind;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The words by which an entry is found: what was said, and what came with it. */
final class Searched {
  /** Events whose words a person wrote or reads; those of others are codes and times. */
  private static final Set<EventKind> IN_WORDS =
      EnumSet.of(
          EventKind.LET_GO,
          EventKind.HANDED_OVER,
          EventKind.TO_DO_DONE,
          EventKind.WEB_ENQUIRY,
          EventKind.WEB_AGREEMENT,
          EventKind.RETURNED,
          EventKind.PLAN_CANCELLED,
          EventKind.PLAN_NOT_NEEDED,
          EventKind.PLAN_HELD,
          EventKind.IDENTIFIED,
          EventKind.RIGHT_NUMBER_PROVED,
          EventKind.TOPIC_ADDED,
          EventKind.TOPIC_REMOVED);

  private Searched() {}

  /**
   * The words of an entry.
   *
   * @param attached what goes or came with it, each as {@link #file} says it
   */
  static String words(
      EntryKind kind, @Nullable EventKind event, @Nullable String words, List<String> attached) {
    String said = words == null || kind == EntryKind.EVENT && !hasWords(event) ? "" : words;
    return attached.isEmpty() ? said : said + "\n\n" + String.join("\n\n", attached);
  }

  /** A file by its name, and by what a person says that it shows. */
  static String file(String name, String words) {
    return (name + "\n" + words).strip();
  }

  private static boolean hasWords(@Nullable EventKind event) {
    return event != null && IN_WORDS.contains(event);
  }
}
