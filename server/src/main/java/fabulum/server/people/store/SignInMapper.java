package fabulum.server.people.store;

import fabulum.server.people.SignInView;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** The record of sign-ins in the database. */
@Mapper
public interface SignInMapper {

  long insert(
      Instant at,
      @Nullable Long staffId,
      String name,
      String address,
      String agent,
      SignInView.Outcome outcome);

  void end(long id, Instant at);

  void endAll(Instant at);

  List<SignInView> listOpen(long staffId);

  /** The newest first, from before an id. */
  List<SignInView> list(long before, int limit);
}
