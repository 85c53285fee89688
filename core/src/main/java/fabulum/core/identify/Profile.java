package fabulum.core.identify;

import fabulum.core.phone.PhoneNumber;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * What is on file of a customer, as far as the person who asks may see it.
 *
 * @param contacts persons of a firm, by name
 * @param said texts with them lately, from any of their numbers, oldest first
 */
public record Profile(
    long id,
    String name,
    List<String> contacts,
    Optional<String> email,
    Optional<String> site,
    List<Held> numbers,
    List<Detail> details,
    List<String> notes,
    List<Appointment> appointments,
    List<Job> jobs,
    List<Spoken> said) {

  public Profile {
    contacts = List.copyOf(contacts);
    numbers = List.copyOf(numbers);
    details = List.copyOf(details);
    notes = List.copyOf(notes);
    appointments = List.copyOf(appointments);
    jobs = List.copyOf(jobs);
    said = List.copyOf(said);
  }

  /** The same with what was said. */
  public Profile saying(List<Spoken> texts) {
    return new Profile(
        id, name, contacts, email, site, numbers, details, notes, appointments, jobs, texts);
  }

  /** Whether one of their numbers was theirs at a time. */
  public boolean held(PhoneNumber number, Instant at) {
    return numbers.stream().anyMatch(held -> held.number().equals(number) && held.at(at));
  }

  /**
   * A number they hold or held.
   *
   * @param since empty for unknown
   * @param until when it stopped being theirs; empty while it is theirs
   */
  public record Held(PhoneNumber number, Optional<Instant> since, Optional<Instant> until) {
    /** Whether it was theirs at a time. */
    public boolean at(Instant time) {
      return since.filter(time::isBefore).isEmpty()
          && until.filter(end -> !time.isBefore(end)).isEmpty();
    }
  }

  /** A named extra field. */
  public record Detail(String name, String value) {}

  /** Something agreed for a time. */
  public record Appointment(String what, Instant startsAt) {}

  /** Work for them. */
  public record Job(Optional<String> number, String what) {}
}
