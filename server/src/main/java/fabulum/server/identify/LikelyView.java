package fabulum.server.identify;

import fabulum.core.identify.Clue;
import fabulum.server.customers.Identifying;
import fabulum.server.numbers.NumberCheck;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Who probably writes.
 *
 * @param candidates the likeliest first, at most five
 * @param holders the customers the number belongs to now, by id; to be sent with what is said of it
 * @param nobody how likely it is nobody on file, 0 to 1
 * @param guessedName a name that the writer gives, for a new customer; empty for none
 * @param acts what was said of the number before, the newest first
 * @param canCheck whether an outside service can be asked about the number
 * @param check what it said; null while it was not asked
 */
public record LikelyView(
    List<Candidate> candidates,
    List<Long> holders,
    double nobody,
    List<Reason> nobodysReasons,
    String guessedName,
    List<Identifying> acts,
    boolean canCheck,
    @Nullable NumberCheck check) {

  /**
   * A customer who may be the writer.
   *
   * @param likelihood 0 to 1
   * @param holds whether the number is theirs already
   * @param numbers they hold, in E.164
   */
  public record Candidate(
      long customerId,
      String name,
      double likelihood,
      boolean holds,
      List<HeldNow> numbers,
      List<String> details,
      List<Reason> reasons) {}

  /** A number a customer holds now. */
  public record HeldNow(long numberId, String number) {}

  /**
   * A reason for, or with negative points against.
   *
   * @param points logarithm of the factor by which it changes the odds
   */
  public record Reason(Clue clue, String sentence, double points) {}
}
