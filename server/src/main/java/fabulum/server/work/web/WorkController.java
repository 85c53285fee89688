package fabulum.server.work.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.Moment;
import fabulum.server.customers.CustomerId;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.work.Appointment;
import fabulum.server.work.CustomerWork;
import fabulum.server.work.Job;
import fabulum.server.work.Works;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Appointments and jobs. */
@RestController
class WorkController {
  private final Works works;

  WorkController(Works works) {
    this.works = works;
  }

  /**
   * An appointment as it shall be.
   *
   * @param endsAt null where nobody said
   * @param place blank for none
   * @param conversationId the conversation in which it is agreed; null for none
   * @param version which state was changed; 0 for a new one
   */
  record AppointmentMessage(
      @NotNull(message = "What is it?") String what,
      @NotNull(message = "Choose a time.") Instant startsAt,
      @Nullable Instant endsAt,
      @NotNull String place,
      Appointment.@NotNull State state,
      @Nullable Long conversationId,
      long version) {
    Appointment.Wanted wanted() {
      return new Appointment.Wanted(what, startsAt, endsAt, place, state, conversationId);
    }
  }

  /**
   * A job as it shall be.
   *
   * @param number blank for none
   * @param place blank for none
   * @param conversationId the conversation it is about; null for none
   * @param version which state was changed; 0 for a new one
   */
  record JobMessage(
      @NotNull String number,
      @NotNull(message = "What is to be done?") String what,
      @NotNull String standing,
      Job.@NotNull State state,
      @NotNull String place,
      @Nullable Long conversationId,
      long version) {
    Job.Wanted wanted() {
      return new Job.Wanted(number, what, standing, state, place, conversationId);
    }
  }

  /** What was made. */
  record WorkMade(long id) {}

  /** What is agreed with a customer and what goes on for them. */
  @GetMapping("/api/customers/{id}/work")
  CustomerWork work(@PathVariable long id) {
    return works.of(new CustomerId(id));
  }

  /** What is understood of a time as people type it, by the clocks and hours of the business. */
  @GetMapping("/api/appointments/read")
  Moment.TypedTime read(@RequestParam(defaultValue = "") String words) {
    return works.readTime(words);
  }

  /** Agrees on an appointment. */
  @PostMapping("/api/customers/{id}/appointments")
  WorkMade add(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody AppointmentMessage one) {
    return new WorkMade(works.add(new CustomerId(id), one.wanted(), me.id()));
  }

  /** Changes an appointment. */
  @Problems(Kind.CHANGED_MEANWHILE)
  @PutMapping("/api/appointments/{id}")
  void change(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody AppointmentMessage one) {
    works.change(id, one.wanted(), one.version(), me.id());
  }

  /** Begins a job. */
  @PostMapping("/api/customers/{id}/jobs")
  WorkMade addJob(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody JobMessage one) {
    return new WorkMade(works.add(new CustomerId(id), one.wanted(), me.id()));
  }

  /** Changes a job. */
  @Problems(Kind.CHANGED_MEANWHILE)
  @PutMapping("/api/jobs/{id}")
  void changeJob(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody JobMessage one) {
    works.change(id, one.wanted(), one.version(), me.id());
  }
}
