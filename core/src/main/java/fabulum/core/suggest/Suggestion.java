package fabulum.core.suggest;

/**
 * A template that probably answers what was asked.
 *
 * @param likelihood 0 to 1
 * @param similar how many similar questions it has answered
 */
public record Suggestion(long template, double likelihood, int similar) {
  /** Why it is suggested, as people read it. */
  public String why() {
    return switch (similar) {
      case 0 -> "its words fit";
      case 1 -> "used for a similar question";
      default -> "used for " + similar + " similar questions";
    };
  }
}
