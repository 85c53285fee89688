package fabulum.server.accounts.store;

import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;

/** Names and passwords in the database. */
@Mapper
public interface AccountMapper {
  Optional<AccountRow> find(long id);

  Optional<AccountRow> findByName(String signInName);

  void setPassword(long id, String passwordHash);
}
