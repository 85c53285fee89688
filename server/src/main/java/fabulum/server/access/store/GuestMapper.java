package fabulum.server.access.store;

import fabulum.server.access.Guest;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** Who was brought into which conversation. */
@Mapper
public interface GuestMapper {
  /** All of them: only conversations that are not done have any. */
  List<Guest> listAll();

  List<Guest> list(long conversation);

  void insert(Guest guest);

  int delete(long conversation, long staff);
}
