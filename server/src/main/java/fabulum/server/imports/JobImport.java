package fabulum.server.imports;

import fabulum.core.imports.CustomerRef;
import fabulum.core.imports.RowReader;
import fabulum.core.imports.Subject;
import fabulum.core.imports.Target;
import fabulum.core.imports.WorkReader;
import fabulum.core.imports.WorkReader.JobRow;
import fabulum.server.access.StaffId;
import fabulum.server.customers.Changer;
import fabulum.server.customers.CustomerId;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.work.Job;
import fabulum.server.work.ToldWork;
import fabulum.server.work.ToldWork.ToldJob;
import fabulum.server.work.Works;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Files with jobs. */
@Component
class JobImport extends WorkImport<JobRow, Job> {
  private final ToldWork told;
  private final Works works;

  JobImport(Tools tools, ToldWork told, Works works) {
    super(tools, JobRow.class, Job.class, "JOB");
    this.told = told;
    this.works = works;
  }

  @Override
  public Subject subject() {
    return Subject.JOBS;
  }

  @Override
  RowReader.Row read(WorkReader reader, List<Target> targets, List<String> cells) {
    return reader.job(targets, cells);
  }

  @Override
  CustomerRef customerOf(JobRow said) {
    return said.customer();
  }

  @Override
  Optional<Job> find(JobRow said, CustomerId customer) {
    if (said.outsideId().isPresent()) {
      return told.findJob(said.outsideId().get());
    }
    return said.number().isEmpty()
        ? works.of(customer).jobs().stream()
            .filter(job -> job.number() == null && job.what().equalsIgnoreCase(said.what().strip()))
            .findFirst()
        : told.findJob(customer, said.number());
  }

  @Override
  Optional<String> mark(JobRow said, CustomerId customer) {
    String named = said.number().isEmpty() ? said.what().toLowerCase(Locale.ROOT) : said.number();
    return said.outsideId().or(() -> Optional.of(customer.value() + " " + named));
  }

  @Override
  long idOf(Job one) {
    return one.id();
  }

  @Override
  CustomerId customerOf(Job one) {
    return new CustomerId(one.customerId());
  }

  @Override
  Optional<Job> find(long id) {
    return told.findJob(id);
  }

  private static ToldJob wanted(JobRow said, Optional<Job> before) {
    Job.Wanted was =
        before.map(Job::wanted).orElse(new Job.Wanted("", "", "", Job.State.OPEN, "", null));
    Job.State state =
        said.closed().map(closed -> closed ? Job.State.CLOSED : Job.State.OPEN).orElse(was.state());
    return new ToldJob(
        new Job.Wanted(
            orElse(said.number(), was.number()),
            said.what(),
            orElse(said.standing(), was.standing()),
            state,
            orElse(said.place(), was.place()),
            was.conversationId()),
        said.openedAt().orElse(null),
        said.closedAt().orElse(null));
  }

  private static String orElse(String said, String before) {
    return said.isEmpty() ? before : said;
  }

  @Override
  List<FieldProblem> problems(JobRow said, Optional<Job> before) {
    return Works.problems(wanted(said, before).wanted());
  }

  @Override
  List<String> differences(JobRow said, Job before) {
    ToldJob told = wanted(said, Optional.of(before));
    if (ToldWork.isSo(before, told)) {
      return List.of();
    }
    Job.Wanted was = before.wanted();
    Job.Wanted now = told.wanted();
    List<String> words = new ArrayList<>();
    if (!was.what().equals(now.what())) {
      words.add(was.what() + " → " + now.what());
    }
    if (!was.number().equals(now.number())) {
      words.add("number: " + now.number());
    }
    if (!was.standing().equals(now.standing())) {
      words.add("how far: " + now.standing());
    }
    if (!was.place().equals(now.place())) {
      words.add("place: " + now.place());
    }
    if (was.state() != now.state()) {
      words.add(now.state().name().toLowerCase(Locale.ROOT));
    }
    return words.isEmpty() ? List.of("other dates") : words;
  }

  @Override
  long add(CustomerId customer, JobRow said, StaffId by) {
    return told.add(
        customer,
        wanted(said, Optional.empty()),
        said.outsideId().orElse(null),
        Changer.person(by));
  }

  @Override
  boolean change(Job before, JobRow said, StaffId by) {
    return told.change(before, wanted(said, Optional.of(before)), Changer.person(by));
  }

  @Override
  boolean restore(@Nullable Job before, Job after, StaffId by) {
    return told.restore(before, after, Changer.person(by));
  }

  @Override
  public String stay(int count) {
    return count + (count == 1 ? " job stays" : " jobs stay") + ", because it was changed since.";
  }
}
