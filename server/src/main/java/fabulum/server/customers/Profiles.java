package fabulum.server.customers;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toList;

import fabulum.core.identify.Profile;
import fabulum.core.identify.Profile.Detail;
import fabulum.core.identify.Profile.Held;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Sender;
import fabulum.server.customers.store.ProfileMapper;
import fabulum.server.customers.store.ProfileRow;
import fabulum.server.customers.store.ProfileRow.AppointmentRow;
import fabulum.server.customers.store.ProfileRow.DetailRow;
import fabulum.server.customers.store.ProfileRow.HeldRow;
import fabulum.server.customers.store.ProfileRow.JobRow;
import fabulum.server.customers.store.ProfileRow.WordsRow;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** All that is on file of customers, for working out who writes. */
@Service
public class Profiles {
  private final ProfileMapper customers;

  Profiles(ProfileMapper customers) {
    this.customers = customers;
  }

  /** Customers with ids above one, in their order, as a chunk to go through all of them. */
  public List<CustomerId> listAfter(long id, int limit) {
    return customers.listAfter(id, limit).stream().map(CustomerId::new).toList();
  }

  /** What is on file, without what was said; those who are not there are left out. */
  public List<Profile> list(List<CustomerId> wanted) {
    if (wanted.isEmpty()) {
      return List.of();
    }
    List<Long> ids = wanted.stream().map(CustomerId::value).toList();
    Map<Long, List<String>> contacts = words(customers.listContacts(ids));
    Map<Long, List<String>> notes = words(customers.listNotes(ids));
    Map<Long, List<HeldRow>> held =
        customers.listHeld(ids).stream().collect(groupingBy(HeldRow::customerId));
    Map<Long, List<DetailRow>> details =
        customers.listDetails(ids).stream().collect(groupingBy(DetailRow::customerId));
    Map<Long, List<AppointmentRow>> due =
        customers.listAppointments(ids).stream().collect(groupingBy(AppointmentRow::customerId));
    Map<Long, List<JobRow>> jobs =
        customers.listJobs(ids).stream().collect(groupingBy(JobRow::customerId));
    return customers.listNames(ids).stream()
        .map(row ->
            new Profile(
                row.id(),
                row.name(),
                contacts.getOrDefault(row.id(), List.of()),
                Optional.ofNullable(row.email()),
                Optional.ofNullable(row.site()),
                held.getOrDefault(row.id(), List.of()).stream()
                    .flatMap(one -> held(one).stream())
                    .toList(),
                details.getOrDefault(row.id(), List.of()).stream()
                    .map(one -> new Detail(one.name(), one.detail()))
                    .toList(),
                notes.getOrDefault(row.id(), List.of()),
                due.getOrDefault(row.id(), List.of()).stream()
                    .map(one -> new Profile.Appointment(one.what(), one.startsAt()))
                    .toList(),
                jobs.getOrDefault(row.id(), List.of()).stream()
                    .map(one -> new Profile.Job(Optional.ofNullable(one.number()), one.what()))
                    .toList(),
                List.of()))
        .toList();
  }

  private static Map<Long, List<String>> words(List<WordsRow> rows) {
    return rows.stream()
        .collect(groupingBy(WordsRow::customerId, mapping(WordsRow::words, toList())));
  }

  private static Optional<Held> held(HeldRow row) {
    Sender sender = Sender.ofAddress(row.address());
    return sender instanceof PhoneNumber number
        ? Optional.of(
            new Held(
                number, Optional.ofNullable(row.heldFrom()), Optional.ofNullable(row.heldUntil())))
        : Optional.empty();
  }

  /** The numbers that customers have now, the preferred one first. */
  public List<Reachable> numbers(List<Long> ids) {
    return ids.isEmpty() ? List.of() : customers.listNumbers(ids);
  }

  /** Names of customers; those who are not there are left out. */
  public Map<Long, String> names(List<Long> ids) {
    return ids.isEmpty()
        ? Map.of()
        : customers.listNames(ids).stream()
            .collect(java.util.stream.Collectors.toMap(ProfileRow::id, ProfileRow::name));
  }
}
