package fabulum.server.imports;

import fabulum.core.imports.CustomerRef;
import fabulum.core.imports.RowReader;
import fabulum.core.imports.Subject;
import fabulum.core.imports.Target;
import fabulum.core.imports.WorkReader;
import fabulum.core.imports.WorkReader.AppointmentRow;
import fabulum.server.access.StaffId;
import fabulum.server.customers.Changer;
import fabulum.server.customers.CustomerId;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.work.Appointment;
import fabulum.server.work.CustomerWork;
import fabulum.server.work.ToldWork;
import fabulum.server.work.Works;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Files with appointments. */
@Component
class AppointmentImport extends WorkImport<AppointmentRow, Appointment> {
  private final ToldWork told;
  private final Works works;

  AppointmentImport(Tools tools, ToldWork told, Works works) {
    super(tools, AppointmentRow.class, Appointment.class, "APPOINTMENT");
    this.told = told;
    this.works = works;
  }

  @Override
  public Subject subject() {
    return Subject.APPOINTMENTS;
  }

  @Override
  RowReader.Row read(WorkReader reader, List<Target> targets, List<String> cells) {
    return reader.appointment(targets, cells);
  }

  @Override
  CustomerRef customerOf(AppointmentRow said) {
    return said.customer();
  }

  @Override
  Optional<Appointment> find(AppointmentRow said, CustomerId customer) {
    if (said.outsideId().isPresent()) {
      return told.findAppointment(said.outsideId().get());
    }
    CustomerWork work = works.of(customer);
    return work.appointments().stream()
        .filter(one -> one.startsAt().equals(said.startsAt()))
        .filter(one -> one.what().equalsIgnoreCase(said.what().strip()))
        .findFirst();
  }

  @Override
  Optional<String> mark(AppointmentRow said, CustomerId customer) {
    return said.outsideId()
        .or(() ->
            Optional.of(
                customer.value()
                    + " "
                    + said.startsAt()
                    + " "
                    + said.what().toLowerCase(Locale.ROOT)));
  }

  @Override
  long idOf(Appointment one) {
    return one.id();
  }

  @Override
  CustomerId customerOf(Appointment one) {
    return new CustomerId(one.customerId());
  }

  @Override
  Optional<Appointment> find(long id) {
    return told.findAppointment(id);
  }

  private static Appointment.Wanted wanted(AppointmentRow said, Optional<Appointment> before) {
    Appointment.State state =
        said.state()
            .map(one -> Appointment.State.valueOf(one.name()))
            .or(() -> before.map(Appointment::state))
            .orElse(Appointment.State.AGREED);
    @Nullable Instant ends = said.endsAt().or(() -> before.map(Appointment::endsAt)).orElse(null);
    return new Appointment.Wanted(
        said.what(),
        said.startsAt(),
        ends,
        said.place().isEmpty() ? before.map(Appointment::place).orElse("") : said.place(),
        state,
        before.map(Appointment::conversationId).orElse(null));
  }

  @Override
  List<FieldProblem> problems(AppointmentRow said, Optional<Appointment> before) {
    return Works.problems(wanted(said, before));
  }

  @Override
  List<String> differences(AppointmentRow said, Appointment before) {
    Appointment.Wanted was = before.wanted();
    Appointment.Wanted now = wanted(said, Optional.of(before));
    List<String> words = new ArrayList<>();
    if (!was.what().equals(now.what())) {
      words.add(was.what() + " → " + now.what());
    }
    if (!was.startsAt().equals(now.startsAt())) {
      words.add("another time");
    }
    if (!Optional.ofNullable(was.endsAt()).equals(Optional.ofNullable(now.endsAt()))) {
      words.add("another end");
    }
    if (!was.place().equals(now.place())) {
      words.add("place: " + now.place());
    }
    if (was.state() != now.state()) {
      words.add(now.state().name().toLowerCase(Locale.ROOT));
    }
    return words;
  }

  @Override
  long add(CustomerId customer, AppointmentRow said, StaffId by) {
    return told.add(
        customer,
        wanted(said, Optional.empty()),
        said.outsideId().orElse(null),
        Changer.person(by));
  }

  @Override
  boolean change(Appointment before, AppointmentRow said, StaffId by) {
    return told.change(before, wanted(said, Optional.of(before)), Changer.person(by));
  }

  @Override
  boolean restore(@Nullable Appointment before, Appointment after, StaffId by) {
    return told.restore(before, after, Changer.person(by));
  }

  @Override
  public String stay(int count) {
    return count
        + (count == 1 ? " appointment stays" : " appointments stay")
        + ", because it was changed since.";
  }
}
