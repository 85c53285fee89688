package fabulum.server.people.store;

import java.time.Instant;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;

/** Invitations in the database. */
@Mapper
public interface InvitationMapper {

  void insert(long staffId, String secretHash, long byId, Instant madeAt, Instant endsAt);

  Optional<InvitationRow> find(String secretHash);

  /** Until when a person's newest invitation works. */
  Optional<Instant> findEnd(long staffId);

  /**
   * Uses an invitation up.
   *
   * @return 0 when it was used before
   */
  int use(long id, Instant at);

  /** Ends all that were not used. */
  void endAllOf(long staffId, Instant at);
}
