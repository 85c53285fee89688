package fabulum.server.customers.store;

import fabulum.core.sending.SendQuestion.NumberState;
import fabulum.server.customers.CustomerView.Detail;
import fabulum.server.customers.CustomerView.NextAppointment;
import fabulum.server.customers.CustomerView.OpenJob;
import fabulum.server.customers.FoundNumber;
import fabulum.server.customers.Holder;
import fabulum.server.customers.NumberFacts;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Customers and numbers in the database. */
@Mapper
public interface CustomerMapper {
  Optional<Long> findNumber(String address);

  long insertNumber(String address);

  /**
   * @param customerId for whom it may be wrong; null for all who hold it
   */
  Optional<NumberFacts> findFacts(String address, @Nullable Long customerId);

  void insertWrongFor(long numberId, long customerId, Instant at);

  /**
   * @param customerId null for everybody
   */
  void deleteWrongFor(long numberId, @Nullable Long customerId);

  void setFirstWrote(long id, Instant at);

  void setState(long id, NumberState state);

  /** What a network said of it does not hold any more; what a person said does. */
  void clearState(long id);

  List<FoundNumber> search(String pattern, @Nullable String digits, int limit);

  long insert(String name);

  void insertHolder(long numberId, long customerId);

  List<Holder> listHolders(long numberId);

  Optional<CustomerRow> find(long id);

  boolean isThere(long id);

  List<Detail> listDetails(long customerId);

  List<String> listOtherNumbers(long customerId, long butNot);

  Optional<NextAppointment> findNextAppointment(long customerId, Instant after);

  /** The numbers someone holds, by their ids. */
  List<Long> listNumbers(long customerId);

  List<OpenJob> listJobs(long customerId);

  /** A number and its spelling. */
  record AddressRow(long id, String address) {}

  List<AddressRow> listAddresses(List<Long> ids);
}
