package fabulum.server.work;

import java.util.List;

/**
 * What is agreed with a customer and what goes on for them.
 *
 * @param appointments those to come first, the soonest first, then those of before, the latest
 *     first
 * @param jobs open ones first, the newest first
 */
public record CustomerWork(List<Appointment> appointments, List<Job> jobs) {
  public CustomerWork {
    appointments = List.copyOf(appointments);
    jobs = List.copyOf(jobs);
  }
}
