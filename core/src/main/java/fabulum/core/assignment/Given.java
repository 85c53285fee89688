package fabulum.core.assignment;

/** To whom something is given, or why to nobody. */
public sealed interface Given {

  /** Said in the script. */
  String reason();

  /** A person's now. */
  record To(long who, String reason) implements Given {}

  /** It stays nobody's. */
  record ToNobody(Why why) implements Given {
    @Override
    public String reason() {
      return why.sentence();
    }
  }

  /** Why nobody gets it. */
  enum Why {
    PEOPLE_TAKE("people take on this line"),
    NOBODY_MAY("nobody may use this line"),
    NOBODY_IN("nobody is in"),
    ALL_AT_LIMIT("everyone who is in has as much as they can");

    private final String sentence;

    Why(String sentence) {
      this.sentence = sentence;
    }

    /** In words. */
    public String sentence() {
      return sentence;
    }
  }
}
