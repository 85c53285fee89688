package fabulum.core.access;

/** Kinds of act that not everybody may do. */
public enum Act {
  WORK("change conversations"),
  TEXT("text customers"),
  SEND_TO_MANY("text many customers at once"),
  EXPORT("export"),
  CHANGE_TEMPLATES("change templates"),
  REMOVE_FOR_GOOD("remove for good"),
  LEAD("do what a lead does");

  private final String words;

  Act(String words) {
    this.words = words;
  }

  /** The act, as it goes on after "may". */
  public String words() {
    return words;
  }
}
