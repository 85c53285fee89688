package fabulum.core.report;

/** What is counted. Where the {@link Sum} has seconds, the sentence here says which. */
public enum Measure {
  /** Texts from customers. */
  RECEIVED,
  /** Texts of ours that a person sent. */
  SENT_BY_HAND,
  /** Texts of ours that the program sent by itself. */
  SENT_AUTOMATICALLY,
  /** Texts of ours that did not arrive. */
  NOT_DELIVERED,
  /** Answers to a customer who waited: the working time of the wait; kept where in time. */
  ANSWERED,
  /** The first answer since a conversation was opened; otherwise as {@link #ANSWERED}. */
  FIRST_ANSWERED,
  /** Conversations finished: the working time since they were opened. */
  DONE,
  /** Conversations finished while the customer still waited for an answer. */
  DONE_UNANSWERED,
  /** Waits that a person ended because no answer was needed. */
  NO_ANSWER_NEEDED,
  /** Conversations that a person opened again. */
  REOPENED,
  /** Conversations handed to a colleague or a team. */
  HANDED_OVER,
  /** Numbers that wrote to us for the first time. */
  NEW_NUMBER,
  /** Texts of which a person said who wrote: the working time since the first of them. */
  IDENTIFIED
}
