package fabulum.server.customers;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A customer as the dossier shows them.
 *
 * @param language where it is not the business's own: its code by ISO 639-1
 * @param details named extra fields, by name
 * @param otherNumbers further numbers they hold, in E.164
 * @param nextAppointment the first one that has not begun
 */
public record CustomerView(
    long id,
    String name,
    @Nullable String email,
    @Nullable String site,
    @Nullable String language,
    List<Detail> details,
    List<String> otherNumbers,
    @Nullable NextAppointment nextAppointment,
    List<OpenJob> openJobs) {

  /** A named extra field. */
  public record Detail(String name, String detail) {}

  /** Something agreed for a time. */
  public record NextAppointment(String what, Instant startsAt) {}

  /** Work going on for them. */
  public record OpenJob(String what, String standing) {}
}
