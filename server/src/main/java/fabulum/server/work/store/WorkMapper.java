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
      Instant openedAt,
      @Nullable Instant closedAt,
      @Nullable Long staffId);

  int updateJob(long id, Job.Wanted wanted, @Nullable Instant closedAt, long seen);
}
