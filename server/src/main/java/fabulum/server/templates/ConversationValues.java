package fabulum.server.templates;

import fabulum.core.template.FirstName;
import fabulum.core.template.SaidTimes;
import fabulum.core.template.ValueFrom;
import fabulum.core.template.Values;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Conversation;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.CustomerView;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.people.People;
import fabulum.server.work.Appointment;
import fabulum.server.work.CustomerWork;
import fabulum.server.work.Job;
import fabulum.server.work.Works;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What placeholders stand for where a text is written. */
@Component
class ConversationValues {
  private final Customers customers;
  private final Works works;
  private final Lines lines;
  private final People people;
  private final Links links;
  private final Clock clock;

  ConversationValues(
      Customers customers, Works works, Lines lines, People people, Links links, Clock clock) {
    this.customers = customers;
    this.works = works;
    this.lines = lines;
    this.people = people;
    this.links = links;
    this.clock = clock;
  }

  /** Values that are known, by what they are of and their name in lower case. */
  static final class Known implements Values {
    private final Map<String, String> known = new HashMap<>();
    private String language = "";

    /** The language of the customer; empty where it is not said. */
    String language() {
      return language;
    }

    void put(ValueFrom whose, String name, @Nullable String value) {
      if (value != null && !value.isBlank()) {
        known.putIfAbsent(key(whose, name), value);
      }
    }

    @Override
    public Optional<String> find(ValueFrom whose, String name) {
      return Optional.ofNullable(known.get(key(whose, name)));
    }

    private static String key(ValueFrom whose, String name) {
      return whose + " " + name.toLowerCase(Locale.ROOT);
    }
  }

  /** What is known in a conversation, for the person who writes in it. */
  Known of(Conversation row, StaffId by) {
    Known known = new Known();
    LineView line = lines.get(new LineId(row.lineId()));
    SaidTimes said = new SaidTimes(ZoneId.of(line.zone()), line.region());
    putAround(known, line, said, by);
    Long customer = row.customerId();
    if (customer != null) {
      CustomerId id = new CustomerId(customer);
      customers.find(id, new NumberId(row.numberId())).ifPresent(one -> put(known, one));
      put(known, works.of(id), said);
    }
    return known;
  }

  /** What is known where there is no conversation: of the person, and the links. */
  Values of(StaffId by) {
    Known known = new Known();
    putMine(known, by);
    return known;
  }

  private void putMine(Known known, StaffId by) {
    String name = people.get(by).name();
    known.put(ValueFrom.STAFF, "name", name);
    known.put(ValueFrom.STAFF, "first name", FirstName.of(name).orElse(name));
    links.list().forEach(link -> known.put(ValueFrom.LINK, link.name(), link.address()));
  }

  private void putAround(Known known, LineView line, SaidTimes said, StaffId by) {
    putMine(known, by);
    known.put(ValueFrom.LINE, "name", line.name());
    known.put(ValueFrom.LINE, "number", line.shownNumber());
    known.put(ValueFrom.SITE, "name", line.site());
    var hours = lines.promise(new LineId(line.id())).hours();
    Instant now = clock.instant();
    known.put(ValueFrom.HOURS, "today", said.openings(hours, now));
    known.put(ValueFrom.HOURS, "tomorrow", said.openings(hours, now.plus(Duration.ofDays(1))));
  }

  private static void put(Known known, CustomerView customer) {
    known.put(ValueFrom.CUSTOMER, "name", customer.name());
    known.put(ValueFrom.CUSTOMER, "first name", FirstName.of(customer.name()).orElse(null));
    known.put(ValueFrom.CUSTOMER, "e-mail", customer.email());
    known.put(ValueFrom.CUSTOMER, "site", customer.site());
    known.language = Optional.ofNullable(customer.language()).orElse("");
    customer.details().forEach(one -> known.put(ValueFrom.CUSTOMER, one.name(), one.detail()));
  }

  private void put(Known known, CustomerWork work, SaidTimes said) {
    Instant now = clock.instant();
    work.appointments().stream()
        .filter(one -> one.state() == Appointment.State.AGREED && !one.startsAt().isBefore(now))
        .findFirst()
        .ifPresent(one -> {
          known.put(ValueFrom.APPOINTMENT, "what", one.what());
          known.put(ValueFrom.APPOINTMENT, "when", said.when(one.startsAt(), now));
          known.put(ValueFrom.APPOINTMENT, "day", said.day(one.startsAt(), now));
          known.put(ValueFrom.APPOINTMENT, "time", said.time(one.startsAt()));
          known.put(ValueFrom.APPOINTMENT, "place", one.place());
        });
    work.jobs().stream()
        .filter(one -> one.state() == Job.State.OPEN)
        .findFirst()
        .ifPresent(one -> {
          known.put(ValueFrom.JOB, "what", one.what());
          known.put(ValueFrom.JOB, "number", one.number());
          known.put(ValueFrom.JOB, "standing", one.standing());
          known.put(ValueFrom.JOB, "place", one.place());
        });
  }
}
