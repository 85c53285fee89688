package fabulum.core.sending;

import java.util.OptionalLong;

/**
 * Who says a text of ours. What the text does to its conversation, and in which lane it waits to go
 * out, depends on that.
 */
public sealed interface Author {

  /** A member of staff, to one customer. */
  record Person(long staff) implements Author {
    @Override
    public OptionalLong writer() {
      return OptionalLong.of(staff);
    }

    @Override
    public boolean pauses() {
      return true;
    }

    @Override
    public boolean waitsForLook() {
      return true;
    }

    @Override
    public boolean isAnswering() {
      return true;
    }

    @Override
    public Effect effect() {
      return Effect.ANSWER;
    }
  }

  /**
   * A member of staff, with words at which a colleague has looked.
   *
   * @param approvedBy the colleague, who lets them go at this moment
   */
  record Approved(long staff, long approvedBy) implements Author {
    @Override
    public OptionalLong writer() {
      return OptionalLong.of(staff);
    }

    @Override
    public boolean isAnswering() {
      return true;
    }

    @Override
    public Effect effect() {
      return Effect.ANSWER;
    }
  }

  /**
   * A member of staff, with the same words to several conversations in one act.
   *
   * @param recipients how many get them
   */
  record Several(long staff, int recipients) implements Author {
    @Override
    public OptionalLong writer() {
      return OptionalLong.of(staff);
    }

    @Override
    public boolean pauses() {
      return true;
    }

    @Override
    public boolean waitsForLook() {
      return true;
    }

    @Override
    public Effect effect() {
      return Effect.ONE_OF_MANY;
    }
  }

  /**
   * What a member of staff wrote earlier, at the time they chose. It waits behind the texts of
   * people who write now: thousands may be due in one minute.
   *
   * @param answers whether the customer waited already when it was planned, and has not written
   *     since: what they wrote later it cannot answer
   */
  record Schedule(long staff, boolean answers) implements Author {
    @Override
    public OptionalLong writer() {
      return OptionalLong.of(staff);
    }

    @Override
    public boolean waitsForLook() {
      return true;
    }

    @Override
    public Effect effect() {
      return answers ? Effect.PLANNED_ANSWER : Effect.PLANNED;
    }
  }

  /** One text to many customers, written by a member of staff. */
  record Announcement(long announcement, long staff) implements Author {
    @Override
    public OptionalLong writer() {
      return OptionalLong.of(staff);
    }

    @Override
    public Effect effect() {
      return Effect.NEWS;
    }
  }

  /** A rule of the business. */
  record Rule(long rule) implements Author {
    @Override
    public Effect effect() {
      return Effect.AUTOMATIC;
    }
  }

  /** Another program, by the API. */
  record Program(long program) implements Author {
    @Override
    public Effect effect() {
      return Effect.LATER_ANSWER;
    }
  }

  /** Fabulum itself. */
  record Itself(Purpose purpose) implements Author {
    @Override
    public Effect effect() {
      return Effect.AUTOMATIC;
    }

    @Override
    public boolean isItself() {
      return true;
    }

    @Override
    public boolean isOwedToOptedOut() {
      return purpose == Purpose.STOP_CONFIRMED || purpose == Purpose.HELP;
    }
  }

  /** What Fabulum itself says. */
  enum Purpose {
    /** That the customer will get no more texts; once. */
    STOP_CONFIRMED,
    /** That the customer will get texts again. */
    START_CONFIRMED,
    /** Who writes here, and how to reach them. */
    HELP,
    /** A code, or thanks for one. */
    CODE
  }

  /** The member of staff who wrote the words, by their id; empty when no person did. */
  default OptionalLong writer() {
    return OptionalLong.empty();
  }

  /** What the text does to its conversation. */
  Effect effect();

  /** Whether the writer sends at this moment, and may take the text back before it leaves. */
  default boolean pauses() {
    return false;
  }

  /** Whether a colleague has to look at the text first, if the writer is one whose texts wait. */
  default boolean waitsForLook() {
    return false;
  }

  /** Whether a member of staff says it to one customer, now and in words chosen for them. */
  default boolean isAnswering() {
    return false;
  }

  /** Whether its words stood on its writer's paper until now. */
  default boolean leavesPaper() {
    return pauses() || isAnswering();
  }

  /** How many get the words by the same act. */
  default int recipients() {
    return 1;
  }

  /** Whether it is the program itself, with words of its own. */
  default boolean isItself() {
    return false;
  }

  /** Whether the text must go also to those who opted out. */
  default boolean isOwedToOptedOut() {
    return false;
  }

  /**
   * What a text does to its conversation.
   *
   * @param endsWait whether the customer has their answer with it
   * @param takesOwnership whether a conversation that is nobody's becomes the writer's
   * @param isolatesFailure whether the act that sent it shows its failure, when nobody waited for
   *     it
   * @param lane in which lane it waits to go out
   */
  record Effect(boolean endsWait, boolean takesOwnership, boolean isolatesFailure, Lane lane) {
    static final Effect ANSWER = new Effect(true, true, false, Lane.SINGLE);
    static final Effect LATER_ANSWER = new Effect(true, false, false, Lane.SINGLE);
    static final Effect AUTOMATIC = new Effect(false, false, false, Lane.SINGLE);
    static final Effect PLANNED_ANSWER = new Effect(true, false, false, Lane.MANY);
    static final Effect PLANNED = new Effect(false, false, false, Lane.MANY);
    static final Effect ONE_OF_MANY = new Effect(true, true, true, Lane.MANY);
    static final Effect NEWS = new Effect(false, false, true, Lane.MANY);
  }

  /** Texts of one lane never stand before those of another. */
  enum Lane {
    /** Texts to one customer. */
    SINGLE,
    /** The texts of an act on many, and what was planned. */
    MANY
  }
}
