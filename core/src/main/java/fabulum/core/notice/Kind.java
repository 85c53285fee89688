package fabulum.core.notice;

import java.util.EnumSet;
import java.util.Set;

/** What a notice tells of. */
public enum Kind {
  /** Something came that is mine, or was handed to me. */
  MINE("my conversations"),
  /** Something came that is nobody's yet. */
  NOBODYS("conversations nobody owns"),
  /** A note names me. */
  MENTION("notes that mention me"),
  /** A text of ours was not delivered. */
  UNDELIVERED("texts that were not delivered"),
  /** An answer nears its promise. */
  SOON("my answers due soon"),
  /** An answer is late. */
  LATE("my late answers"),
  /** Nobody has said for long who writes. */
  TO_IDENTIFY("unknown numbers that wait too long");

  private final String words;

  Kind(String words) {
    this.words = words;
  }

  /** As it goes on after "tell me of". */
  public String words() {
    return words;
  }

  /** How a person who has chosen nothing is told of it. */
  public Set<NoticeChannel> usual() {
    return switch (this) {
      case MINE, MENTION, UNDELIVERED ->
          EnumSet.of(NoticeChannel.HERE, NoticeChannel.DESKTOP, NoticeChannel.SOUND);
      case LATE, TO_IDENTIFY -> EnumSet.of(NoticeChannel.HERE, NoticeChannel.DESKTOP);
      case SOON, NOBODYS -> EnumSet.of(NoticeChannel.HERE);
    };
  }
}
