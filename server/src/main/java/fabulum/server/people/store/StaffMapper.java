package fabulum.server.people.store;

import fabulum.server.people.Role;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;

/** Staff in the database. */
@Mapper
public interface StaffMapper {
  Optional<StaffRow> find(long id);

  Optional<StaffRow> findByName(String signInName);

  List<StaffRow> list();

  long insert(
      String signInName,
      String fullName,
      String initials,
      Role role,
      String passwordHash,
      boolean mustChangePassword);

  void setPassword(long id, String passwordHash);
}
