package fabulum.server.work.store;

import fabulum.server.work.Appointment;
import fabulum.server.work.Job;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** SQL for appointments and jobs. */
@Mapper
public interface WorkMapper {
  /** By time. */
  List<Appointment> listAppointments(long customerId);

  Optional<Appointment> findAppointment(long id);

  long insertAppointment(
      long customerId,
      Appointment.Wanted wanted,
      @Nullable String outsideId,
      @Nullable Long staffId);

  int updateAppointment(long id, Appointment.Wanted wanted, long seen);

  /** Open ones first, the newest first. */
  List<Job> listJobs(long customerId);

  Optional<Job> findJob(long id);

  long insertJob(
      long customerId,
      Job.Wanted wanted,
      @Nullable String outsideId,
      @Nullable Instant openedAt,
      @Nullable Instant closedAt,
      @Nullable Long staffId);

  int updateJob(long id, Job.Wanted wanted, @Nullable Instant closedAt, long seen);

  Optional<Appointment> findAppointmentByOutsideId(String outsideId);

  Optional<Job> findJobByOutsideId(String outsideId);

  /** Jobs that people name so, the newest first. */
  List<Job> listJobsByNumber(String number);

  /** Agreed on for a time in a span, by time. */
  List<Appointment> listAgreed(Instant from, Instant until, int limit);

  /** Agreed on with customers of a site for a time in a span, by time. */
  List<Appointment> listAgreedOfSite(long siteId, Instant from, Instant until, int limit);

  void setTimes(long jobId, @Nullable Instant openedAt, @Nullable Instant closedAt);

  /** Deletes it if nobody changed it; 0 when somebody did. */
  int deleteAppointment(long id, long seen);

  /** Deletes it if nobody changed it; 0 when somebody did. */
  int deleteJob(long id, long seen);
}
