package fabulum.server.writing.store;

import fabulum.server.conversations.Said;
import fabulum.server.writing.SecondLook;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;

/** Texts that wait for a second look, in the database. */
@Mapper
public interface SecondLookMapper {
  void insert(long conversation, long staff, Said said, Instant at);

  /** One that waits, or waited. */
  Optional<SecondLook> find(long id);

  /** The one with a reference, if it waits or waited. */
  Optional<SecondLook> findByReference(String reference);

  /** Those that wait in a conversation, the longest first. */
  List<SecondLook> list(long conversation);

  /** Those that wait anywhere, the longest first. */
  List<SecondLook> listAll(int limit);

  /** How many were ended: none when it waited no longer. */
  int end(long id, Instant at);
}
