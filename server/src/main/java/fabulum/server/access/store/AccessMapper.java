package fabulum.server.access.store;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** Roles and permissions in the database. */
@Mapper
public interface AccessMapper {
  /** Everybody's role, by name. */
  List<RoleRow> listRoles();

  List<PermissionRow> listPermissions();
}
