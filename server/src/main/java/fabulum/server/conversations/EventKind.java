package fabulum.server.conversations;

/** What happened, where an entry is an event. */
public enum EventKind {
  TAKEN,
  /** Its words, if any, say why the program did it. */
  LET_GO,
  /** About the colleague or team it went to. */
  HANDED_OVER,
  /** About the colleague the line gave it to; its words are the reason. */
  GIVEN,
  /** About the cover who received it; its words say for whom. */
  COVERED,
  /** The line could give it to nobody; its words are the reason. */
  NOT_GIVEN,
  DONE,
  DONE_UNANSWERED,
  REOPENED,
  /** Its words are the time until when, ISO 8601; none for until the customer writes. */
  SET_ASIDE,
  /**
   * Its words name the reason, a {@link fabulum.core.conversation.Back}; for what is to be done,
   * followed by a space and what that is.
   */
  BACK,
  /** Its words are what was to be done. */
  TO_DO_DONE,
  NO_ANSWER_NEEDED,
  /** A text of ours that was not delivered is left so. */
  LEFT_UNDELIVERED,
  /**
   * What a text that was not delivered said was sent again; its words are the number, if another.
   */
  SENT_AGAIN,
  /**
   * The customer wants no more texts, by their own text or as a colleague noted; its words are NEWS
   * where it is about news and offers only.
   */
  OPTED_OUT,
  /** The customer agrees to texts, by their own text or as a colleague noted; words as above. */
  OPTED_IN,
  /** A number of a group opted out, and the others go on; it is about that number. */
  GROUP_LEFT,
  /** About a colleague of another team who sees this conversation from then on. */
  BROUGHT_IN,
  /** About a colleague who was brought in and is not any more. */
  LET_OUT,
  /** The text before it came by a form on the web site; its words are the name of the form. */
  WEB_ENQUIRY,
  /** By a form on the web site somebody agreed to texts; its words are the name of the form. */
  WEB_AGREEMENT,
  /** The number belongs to someone else. */
  NUMBER_WRONG,
  /** The number is right after all. */
  NUMBER_RIGHT,
  /** A text of ours was taken back by its writer before it left. */
  TAKEN_BACK,
  /**
   * A colleague said yes to a text that waited for a second look; its words are its writer's name,
   * followed by {@code changed} when the colleague changed it.
   */
  APPROVED,
  /** A text that waited for a second look was returned to its writer; its words say why. */
  RETURNED,
  /** A text is to go later; its words are the time, ISO 8601. */
  PLANNED,
  /** It goes at another time; its words are the time. */
  PLAN_CHANGED,
  /** The next date of a text that repeats is left out; its words are the time. */
  PLAN_SKIPPED,
  /** It does not go any more; its words are the time, a space and what it would have said. */
  PLAN_CANCELLED,
  /** It did not go, because the customer wrote before its time; words as above. */
  PLAN_NOT_NEEDED,
  /** It did not go and waits for a person; its words say why. */
  PLAN_HELD,
  /** A person said which customer writes; its words are the name. */
  IDENTIFIED,
  /** A person said that the texts are not for us; its words are the reason, a word of the API. */
  NOT_FOR_US,
  /** The customer was asked for the right number; its words are the way, a word of the API. */
  RIGHT_NUMBER_ASKED,
  /** A code proved that this number is the one to text; its words are the name of the customer. */
  RIGHT_NUMBER_PROVED,
  /** What a person said of who writes was taken back. */
  IDENTIFYING_UNDONE,
  /** Its words are the topic as it was called then. */
  TOPIC_ADDED,
  /** Its words are the topic as it was called then. */
  TOPIC_REMOVED,
  /** Its words name what was taken back, an {@link EventKind}. */
  UNDONE
}
