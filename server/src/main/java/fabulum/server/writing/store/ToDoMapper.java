package fabulum.server.writing.store;

import fabulum.server.writing.ToDo;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** What is to be done, in the database. */
@Mapper
public interface ToDoMapper {
  void insert(long note, long conversation, ToDo.Wanted wanted, long by);

  /** Another person or time; it comes back again then. */
  void update(long note, ToDo.Wanted wanted);

  Optional<ToDo> find(long note);

  /** What is open in a conversation, the soonest first. */
  List<ToDo> list(long conversation);

  /** What is open for a person, the soonest first. */
  List<ToDo> listOf(long staff, int limit);

  /** What is due and not brought back yet. */
  List<Long> listDue(Instant now, int limit);

  void setBrought(long note, Instant at);

  /** How many were ticked off, or opened again; none when it is so already. */
  int setDone(long note, @Nullable Instant at, @Nullable Long by);

  void delete(long note);
}
