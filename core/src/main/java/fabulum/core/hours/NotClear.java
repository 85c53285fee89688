package fabulum.core.hours;

/** Words that name no time; thrown within one reading of {@link TimeReader} only. */
final class NotClear extends RuntimeException {
  private static final long serialVersionUID = 1L;

  NotClear(String why) {
    super(why, null, false, false);
  }
}
