package fabulum.server.customers.store;

import fabulum.server.customers.CustomerList;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** SQL for customer lists. */
@Mapper
public interface CustomerListMapper {
  List<CustomerList> list();

  List<Long> listOf(long customerId);

  List<Long> listCustomers(long id);

  long insert(String name, long staffId, Instant at);

  int rename(long id, String name);

  void clear(long id);

  void delete(long id);

  /** Those of some customers who are there and on the list, or not on it. */
  List<Long> listAmong(long id, List<Long> customers, boolean on);

  void put(long id, long customerId);

  void take(long id, long customerId);
}
