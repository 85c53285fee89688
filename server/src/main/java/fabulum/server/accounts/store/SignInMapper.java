package fabulum.server.accounts.store;

import fabulum.server.accounts.SignInView;
import fabulum.server.platform.LogPage;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
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

  /** Refused attempts that are counted together. */
  void insertCounted(
      String counted,
      Instant at,
      @Nullable Long staffId,
      String name,
      String address,
      String agent,
      SignInView.Outcome outcome,
      int tries);

  /** Adds to what is counted together already; 0 when nothing is yet. */
  int count(String counted, Instant at, String address, String agent, int tries);

  int deleteBefore(Instant at);

  void end(long id, Instant at);

  void endAll(Instant at);

  List<SignInView> listOpen(long staffId);

  /** The newest first, from before an id. */
  List<SignInView> list(@Param("page") LogPage page);
}
