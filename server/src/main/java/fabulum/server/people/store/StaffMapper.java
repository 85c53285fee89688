package fabulum.server.people.store;

import fabulum.core.access.Permission;
import fabulum.core.access.Role;
import fabulum.server.accounts.AccountState;
import fabulum.server.people.Mark;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Staff in the database. */
@Mapper
public interface StaffMapper {
  Optional<StaffRow> find(long id);

  List<StaffRow> list();

  /** Holds all leads, so that two changes to who leads follow each other. */
  List<Long> lockLeads();

  long insert(
      String signInName,
      String fullName,
      String initials,
      Role role,
      String passwordHash,
      boolean mustChangePassword,
      AccountState standing,
      @Nullable String email);

  void setProfile(long id, String fullName, String initials, Mark mark);

  void setRole(long id, Role role);

  void setStanding(long id, AccountState standing);

  void setLimit(long id, @Nullable Integer limit);

  void setByHand(long id, @Nullable Boolean in, Instant at);

  void setUsual(long id, @Nullable String zone, @Nullable Long coverId);

  void setLastAnswer(long id, Instant at);

  void setInbox(long id, String address);

  void setStays(long id, boolean on);

  void setLetterKeys(long id, boolean on);

  void setSending(long id, int pauseSeconds, boolean looksFirst, boolean enterSends);

  void setSecondLook(long id, boolean on);

  void insertPermission(long id, Permission permission);

  void deletePermissions(long id);

  List<StaffSpanRow> listSpans();

  void insertSpan(long id, int dayOfWeek, int fromMinute, int minutes);

  void deleteSpans(long id);

  List<AbsenceRow> listAbsences();

  void insertAbsence(long staffId, LocalDate firstDay, LocalDate lastDay, @Nullable Long coverId);

  void deleteAbsences(long staffId);
}
