package fabulum.server.inbox.store;

import fabulum.server.conversations.SightColumns;
import fabulum.server.platform.store.Shaped;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Which conversations, as conditions on columns; null or false leaves one out.
 *
 * @param sight what the one who asks sees
 * @param walked lines on which there can be any; never an empty list
 * @param team in the hands of this team: handed to it, or on one of its lines and handed to no
 *     other
 * @param teamLines that team's lines; never an empty list
 * @param lines on one of these; never an empty list
 * @param called a pattern in lower case, for name, number and details
 * @param digits a pattern for the number
 * @param saying a pattern in lower case, for words
 * @param spans bounds line by line; never an empty list
 * @param ids only these
 * @param onFile of customers of whom this is on file; null for any
 */
public record ChoiceRow(
    SightColumns sight,
    List<Long> walked,
    boolean mine,
    boolean nobodys,
    @Nullable Long colleague,
    @Nullable Long team,
    @Nullable List<Long> teamLines,
    @Nullable List<Long> lines,
    @Nullable Long topic,
    boolean toIdentify,
    boolean failed,
    boolean unread,
    @Nullable String called,
    @Nullable String digits,
    @Nullable String saying,
    @Nullable List<Span> spans,
    @Nullable List<Long> ids,
    @Nullable OnFile onFile)
    implements Shaped {

  /** Whether there is any condition beyond lines and sight. */
  public boolean narrows() {
    return mine
        || nobodys
        || toIdentify
        || failed
        || unread
        || Stream.of(colleague, team, topic, called, saying, spans, ids, onFile)
            .anyMatch(Objects::nonNull);
  }

  /** Of lists that are asked of most: how long they are, or -1 for none. */
  private record Shape(int walked, boolean seesAllLines, int teams, int lines) {}

  @Override
  public @Nullable Object shape() {
    return narrows() || sight.narrowed() != null || sight.guestOf() != null
        ? null
        : new Shape(walked.size(), sight.lines() == null, size(sight.teams()), size(lines));
  }

  private static int size(@Nullable List<Long> ids) {
    return ids == null ? -1 : ids.size();
  }

  /** The same, only of these; of none when there are none. */
  public ChoiceRow among(List<Long> only) {
    return new ChoiceRow(
        sight,
        walked,
        mine,
        nobodys,
        colleague,
        team,
        teamLines,
        lines,
        topic,
        toIdentify,
        failed,
        unread,
        called,
        digits,
        saying,
        spans,
        only.isEmpty() ? List.of(0L) : List.copyOf(only),
        onFile);
  }

  /**
   * What is on file of the customer.
   *
   * @param kind in lower case; null for any
   * @param list on which they are; null for any
   * @param detail an extra field that they have; null for any
   * @param words a pattern in lower case for what the field says
   */
  public record OnFile(
      @Nullable String kind, @Nullable Long list, @Nullable Long detail, @Nullable String words) {}

  /** Bounds on one line: from included, to excluded. */
  public record Span(
      long line,
      @Nullable Instant dueFrom,
      @Nullable Instant dueTo,
      @Nullable Instant lastFrom,
      @Nullable Instant lastTo) {}
}
