package fabulum.server.people.store;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** Teams in the database. */
@Mapper
public interface TeamMapper {

  List<TeamRow> list();

  List<MemberRow> listMembers();

  long insert(String name);

  void rename(long id, String name);

  void addMember(long teamId, long staffId);

  void removeFromAll(long staffId);
}
