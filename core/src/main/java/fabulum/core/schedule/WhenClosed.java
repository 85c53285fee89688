package fabulum.core.schedule;

/** What becomes of a text of a series on a day on which its line does not open. */
public enum WhenClosed {
  /** It goes. */
  SEND,
  /** It is left out. */
  SKIP,
  /** It goes at the same time on the next day on which the line opens. */
  NEXT_OPEN_DAY
}
