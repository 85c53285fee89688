package fabulum.server.accounts.store;

import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;

/** Secrets the program makes for itself, in the database. */
@Mapper
public interface SecretMapper {
  Optional<String> find(String name);

  void insert(String name, String octets);
}
