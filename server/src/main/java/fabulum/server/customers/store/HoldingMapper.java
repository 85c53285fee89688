package fabulum.server.customers.store;

import fabulum.server.customers.HeldNumber;
import fabulum.server.customers.Identifying;
import fabulum.server.customers.IdentifyingKind;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Who holds which number, and what people said of who writes. */
@Mapper
public interface HoldingMapper {
  /** Holds a number until the transaction ends. */
  Optional<Long> lockNumber(long id);

  List<HeldNumber> listOfNumber(long numberId);

  List<HeldNumber> listOfCustomer(long customerId);

  List<SaidRow> listSaid(long numberId);

  boolean isNotForUs(long numberId);

  long insertIdentifying(
      IdentifyingKind kind,
      @Nullable Long numberId,
      @Nullable Long conversationId,
      @Nullable Long customerId,
      @Nullable String words,
      @Nullable Long staffId,
      Instant at);

  void setCustomer(long act, long customerId);

  void insert(
      long numberId,
      long customerId,
      @Nullable Instant weakBefore,
      @Nullable String kind,
      @Nullable String word,
      long act);

  /** Changes what is said about a holding. */
  int describe(long id, @Nullable String kind, @Nullable String word);

  /** Makes the holding of a number the preferred one of a customer, and no other. */
  void prefer(long customerId, long id);

  /** Ends the holdings there are, also those that another act ended. */
  void end(long numberId, long customerId, Instant at, long act);

  void insertSaid(
      long act,
      long numberId,
      @Nullable Long conversationId,
      @Nullable Long entryId,
      @Nullable Instant from,
      long customerId);

  void insertNotForUs(long numberId, long act, String reason);

  long insertCustomer(String name, long act);

  Optional<Identifying> findIdentifying(long id);

  List<Identifying> listIdentifying(long numberId);

  /** Holdings and sayings of other acts about the customer that an act made. */
  int countRelying(long act);

  /** Numbers with holdings that the act made or ended. */
  List<Long> listNumbersOf(long act);

  /** Customers whose holdings the act made or ended. */
  List<Long> listCustomersOf(long act);

  void deleteSaid(long act);

  void deleteNotForUs(long act);

  void deleteMade(long act);

  /** The ends that the act made, and those of holdings that it made. */
  void deleteEnds(long act);

  /** Until when each holding of a number holds, from its ends. */
  void reckonEnds(long numberId);

  void deleteCustomer(long act);

  void setUndone(long act, long staffId, Instant at);
}
