package fabulum.server.schedule.store;

import fabulum.server.schedule.Planned;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** The table of planned texts. Changes name the version they were made from, and answer 0 or 1. */
@Mapper
public interface PlannedMapper {
  long insert(Planned plan);

  Optional<Planned> find(long id);

  Optional<Planned> findByReference(String reference);

  /** Those of a conversation that are not over, the soonest first. */
  List<Planned> list(long conversation, int limit);

  /** Those that a person has to act on, the longest due first. */
  List<Planned> listHeld(@Nullable Long staff, int limit);

  /** Those that wait, the soonest first, after one of them. */
  List<Planned> listWaiting(@Nullable Long staff, Instant afterDue, long afterId, int limit);

  /** Ids of those that are due, the longest first. */
  List<Long> listDue(Instant now, int limit);

  /** Ids of those that wait, from one on. */
  List<Long> listAllWaiting(long afterId, int limit);

  /** Ids of those that wait to go to a number alone; from one line, or from all. */
  List<Long> listWaitingTo(long number, @Nullable Long line);

  /** In whose names texts wait. */
  List<Long> listWriters();

  /** Ids of those that wait in the name of a person. */
  List<Long> listWaitingOf(long staff);

  /** Ids of those that wait and are told from an appointment of a customer. */
  List<Long> listWaitingForAppointments(long customer);

  /** Whether a text came in after an entry. */
  boolean existsReceivedSince(long conversation, long since);

  int change(Planned plan);

  int moveDue(long id, long version, Instant dueAt);

  /** It went, or was left out, and goes again. */
  int advance(Planned plan, Instant dueAt, Instant afterAt, int went);

  int hold(long id, long version, String why);

  int end(long id, long version, int went, Instant at);

  void insertRun(long entry, Planned plan);

  /** Who asked for the answer to the newest text of ours that a person wrote. */
  Optional<Long> findAskedFor(long conversation);

  void forgetAsked(long conversation);
}
