package fabulum.server.programs.web;

import fabulum.server.customers.ToldCustomers.Told;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.programs.OutsideCustomers;
import fabulum.server.programs.OutsideCustomers.NumberKnown;
import fabulum.server.programs.OutsideCustomers.OutsideCustomer;
import fabulum.server.programs.OutsideCustomers.OutsideNumber;
import fabulum.server.programs.OutsideCustomers.Wanted;
import fabulum.server.programs.OutsideWork;
import fabulum.server.programs.OutsideWork.OutsideAppointment;
import fabulum.server.programs.OutsideWork.OutsideJob;
import fabulum.server.programs.Program;
import jakarta.validation.Valid;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Customers, numbers, appointments and jobs for other programs, each by its outside id. */
@RestController
@RequestMapping("/api/outside/v1")
class OutsideController {
  private static final int MOST = 200;

  private final OutsideCustomers customers;
  private final OutsideWork work;

  OutsideController(OutsideCustomers customers, OutsideWork work) {
    this.customers = customers;
    this.work = work;
  }

  /**
   * A customer as told. What is absent stays; what is blank or empty is emptied.
   *
   * @param site by name
   * @param numbers all they have now; those that are missing are given up, and keep their dates
   * @param details by the name of the field
   */
  record OutsideCustomerMessage(
      @Nullable String name,
      @Nullable String kind,
      @Nullable String email,
      @Nullable String site,
      @Nullable List<String> contacts,
      @Nullable List<OutsideNumber> numbers,
      @Nullable Map<String, String> details) {
    Wanted wanted() {
      return new Wanted(new Told(name, kind, email, site, contacts, details), numbers);
    }
  }

  /** Customers with an outside id, in its order, after one; at most 200. */
  @Problems(Kind.TOO_MANY_TRIES)
  @GetMapping("/customers")
  List<OutsideCustomer> outsideCustomers(
      @AuthenticationPrincipal Program me,
      @RequestParam(defaultValue = "") String after,
      @RequestParam(defaultValue = "100") int limit) {
    return customers.list(after, Math.max(1, Math.min(limit, MOST)), me);
  }

  /** A customer. */
  @Problems(Kind.TOO_MANY_TRIES)
  @GetMapping("/customers/{outsideId}")
  OutsideCustomer outsideCustomer(
      @AuthenticationPrincipal Program me, @PathVariable String outsideId) {
    return customers.get(outsideId, me);
  }

  /** Makes a customer (201), or changes what is told otherwise than it is (200). */
  @Problems(Kind.TOO_MANY_TRIES)
  @PutMapping("/customers/{outsideId}")
  ResponseEntity<OutsideCustomer> putCustomer(
      @AuthenticationPrincipal Program me,
      @PathVariable String outsideId,
      @Valid @RequestBody OutsideCustomerMessage customer) {
    OutsideCustomers.Put put = customers.put(outsideId, customer.wanted(), me);
    return ResponseEntity.status(status(put.made())).body(put.customer());
  }

  private static HttpStatus status(boolean made) {
    return made ? HttpStatus.CREATED : HttpStatus.OK;
  }

  /** What is known of a number, in E.164 or as people write it. */
  @Problems(Kind.TOO_MANY_TRIES)
  @GetMapping("/numbers/{number}")
  NumberKnown outsideNumber(@AuthenticationPrincipal Program me, @PathVariable String number) {
    return customers.number(number, me);
  }

  /** The appointments of a customer, those to come first. */
  @Problems(Kind.TOO_MANY_TRIES)
  @GetMapping("/customers/{outsideId}/appointments")
  List<OutsideAppointment> outsideAppointments(
      @AuthenticationPrincipal Program me, @PathVariable String outsideId) {
    return work.listAppointments(outsideId, me);
  }

  /** An appointment. */
  @Problems(Kind.TOO_MANY_TRIES)
  @GetMapping("/appointments/{outsideId}")
  OutsideAppointment outsideAppointment(
      @AuthenticationPrincipal Program me, @PathVariable String outsideId) {
    return work.getAppointment(outsideId, me);
  }

  /** Makes an appointment (201), or changes it (200); what is absent stays. */
  @Problems(Kind.TOO_MANY_TRIES)
  @PutMapping("/appointments/{outsideId}")
  ResponseEntity<OutsideAppointment> putAppointment(
      @AuthenticationPrincipal Program me,
      @PathVariable String outsideId,
      @RequestBody OutsideAppointment appointment) {
    boolean made = work.put(outsideId, appointment, me);
    return ResponseEntity.status(status(made)).body(work.getAppointment(outsideId, me));
  }

  /** The jobs of a customer, open ones first. */
  @Problems(Kind.TOO_MANY_TRIES)
  @GetMapping("/customers/{outsideId}/jobs")
  List<OutsideJob> outsideJobs(
      @AuthenticationPrincipal Program me, @PathVariable String outsideId) {
    return work.listJobs(outsideId, me);
  }

  /** A job by how the other program names it. */
  @Problems(Kind.TOO_MANY_TRIES)
  @GetMapping("/jobs/{outsideId}")
  OutsideJob outsideJob(@AuthenticationPrincipal Program me, @PathVariable String outsideId) {
    return work.getJob(outsideId, me);
  }

  /** Makes a job (201), or changes it (200); what is absent stays. */
  @Problems(Kind.TOO_MANY_TRIES)
  @PutMapping("/jobs/{outsideId}")
  ResponseEntity<OutsideJob> putJob(
      @AuthenticationPrincipal Program me,
      @PathVariable String outsideId,
      @RequestBody OutsideJob job) {
    boolean made = work.put(outsideId, job, me);
    return ResponseEntity.status(status(made)).body(work.getJob(outsideId, me));
  }
}
