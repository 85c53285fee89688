package fabulum.server.customers.store;

import fabulum.server.customers.Reachable;
import fabulum.server.customers.store.ProfileRow.AppointmentRow;
import fabulum.server.customers.store.ProfileRow.DetailRow;
import fabulum.server.customers.store.ProfileRow.HeldRow;
import fabulum.server.customers.store.ProfileRow.JobRow;
import fabulum.server.customers.store.ProfileRow.WordsRow;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** What is on file of several customers at once. */
@Mapper
public interface ProfileMapper {
  List<Long> listAfter(long id, int limit);

  List<ProfileRow> listNames(List<Long> ids);

  List<Reachable> listNumbers(List<Long> ids);

  List<WordsRow> listContacts(List<Long> ids);

  List<HeldRow> listHeld(List<Long> ids);

  List<DetailRow> listDetails(List<Long> ids);

  List<WordsRow> listNotes(List<Long> ids);

  List<AppointmentRow> listAppointments(List<Long> ids);

  List<JobRow> listJobs(List<Long> ids);
}
