package fabulum.server.wrongnumbers.store;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** SQL for wrong numbers and codes. */
@Mapper
public interface WrongNumberMapper {
  /**
   * A customer was asked for the right number.
   *
   * @param numberId the wrong one
   * @param usedAt when the code came; null while it works
   */
  record AskRow(
      long id,
      String code,
      long customerId,
      long numberId,
      long conversationId,
      long lineId,
      String way,
      Instant askedAt,
      Instant expiresAt,
      @Nullable Instant usedAt) {}

  /** A text that was not delivered and waits for a person. */
  record HeldRow(long id, long conversationId, String words) {}

  boolean isByItself();

  void setByItself(boolean byItself);

  void insert(
      String code,
      long customerId,
      long numberId,
      long conversationId,
      long lineId,
      String way,
      Instant askedAt,
      Instant expiresAt);

  Optional<AskRow> findByCode(String code);

  /** The newest of a conversation. */
  Optional<AskRow> findNewest(long conversationId);

  /** Uses a code once; 0 when it was used. */
  int use(long id, long numberId, Instant at);

  /** Ends the other codes of a wrong number. */
  void endOthers(long numberId, long customerId, Instant at);

  /** Tries of a number since a time; 0 is all of them. */
  int countTries(long numberId, Instant since);

  /** Counts one more; begins anew when the last count began before a time. */
  int addTry(long numberId, Instant before, Instant now);

  void insertTry(long numberId, Instant now);

  /** Whether a text of ours ever went to a conversation. */
  boolean hasOut(long conversationId);

  /** Texts held in conversations whose customers proved a number with a code. */
  List<HeldRow> listHeld(long usedNumberId);

  Optional<String> findEmail(long customerId);
}
