package fabulum.server.clientele;

import static java.util.stream.Collectors.toMap;

import ezvcard.VCard;
import ezvcard.VCardVersion;
import ezvcard.io.text.VCardWriter;
import ezvcard.parameter.TelephoneType;
import ezvcard.property.Uid;
import fabulum.core.access.Act;
import fabulum.core.identify.Profile;
import fabulum.core.sentence.CustomerSentence;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.clientele.store.IndexedRow;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.DetailKind;
import fabulum.server.customers.DetailKinds;
import fabulum.server.customers.Profiles;
import fabulum.server.lines.TypedNumbers;
import fabulum.server.work.CalendarFeed;
import fabulum.server.work.Job;
import fabulum.server.work.Works;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.stereotype.Service;

/** Customers in open formats, as a sentence means them. */
@Service
public class CustomerExport {
  private static final int CHUNK = 500;
  private static final int NUMBERS = 3;

  private final CustomerPlace place;
  private final CustomerIndex index;
  private final Profiles profiles;
  private final DetailKinds kinds;
  private final Works works;
  private final Permits permits;
  private final Written written;

  CustomerExport(
      CustomerPlace place,
      CustomerIndex index,
      Profiles profiles,
      DetailKinds kinds,
      Works works,
      Permits permits,
      Written written) {
    this.place = place;
    this.index = index;
    this.profiles = profiles;
    this.kinds = kinds;
    this.works = works;
    this.permits = permits;
    this.written = written;
  }

  private void each(CustomerSentence sentence, StaffId asking, Consumer<Profile> told) {
    permits.require(asking, Act.EXPORT);
    List<CustomerId> ids = place.list(sentence, asking);
    for (int i = 0; i < ids.size(); i += CHUNK) {
      List<CustomerId> some = ids.subList(i, Math.min(ids.size(), i + CHUNK));
      Map<Long, Profile> known =
          profiles.list(some).stream().collect(toMap(Profile::id, one -> one));
      some.stream().flatMap(id -> Stream.ofNullable(known.get(id.value()))).forEach(told);
    }
  }

  /** Rows of values, the titles first; read again by an import, they say the same. */
  public List<List<String>> values(CustomerSentence sentence, StaffId asking) {
    List<DetailKind> details = kinds.list();
    List<List<String>> rows = new ArrayList<>();
    List<String> titles =
        new ArrayList<>(
            List.of(
                "Name",
                "Kind",
                "E-mail",
                "Site",
                "Outside id",
                "Language",
                "Phone",
                "Phone 2",
                "Phone 3",
                "Contact",
                "Note"));
    details.forEach(kind -> titles.add(kind.name()));
    rows.add(titles);
    each(sentence, asking, one -> rows.add(row(one, details)));
    return rows;
  }

  private List<String> row(Profile one, List<DetailKind> details) {
    Optional<IndexedRow> row = index.find(one.id()).map(IndexedCustomer::row);
    List<String> cells = new ArrayList<>();
    cells.add(one.name());
    cells.add(row.map(IndexedRow::kind).orElse(""));
    cells.add(one.email().orElse(""));
    cells.add(one.site().orElse(""));
    cells.add(row.map(IndexedRow::outsideId).orElse(""));
    cells.add(row.map(IndexedRow::language).orElse(""));
    List<String> numbers = written.numbers(one);
    for (int i = 0; i < NUMBERS; i++) {
      // The last column has all that are left.
      cells.add(
          i >= numbers.size()
              ? ""
              : i < NUMBERS - 1
                  ? numbers.get(i)
                  : String.join("; ", numbers.subList(i, numbers.size())));
    }
    cells.add(String.join("; ", one.contacts()));
    cells.add(String.join("\n", one.notes()));
    Map<String, String> said =
        one.details().stream()
            .collect(toMap(Profile.Detail::name, Profile.Detail::value, (a, b) -> a));
    details.forEach(kind -> cells.add(said.getOrDefault(kind.name(), "")));
    return cells;
  }

  /** vCards of version 4.0 (RFC 6350). */
  public String cards(CustomerSentence sentence, StaffId asking) {
    StringWriter text = new StringWriter();
    try (VCardWriter writer = new VCardWriter(text, VCardVersion.V4_0)) {
      each(
          sentence,
          asking,
          one -> {
            try {
              writer.write(card(one));
            } catch (IOException impossible) {
              throw new UncheckedIOException(impossible);
            }
          });
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
    return text.toString();
  }

  private VCard card(Profile one) {
    VCard card = new VCard();
    card.setFormattedName(one.name());
    Optional<IndexedRow> row = index.find(one.id()).map(IndexedCustomer::row);
    row.map(IndexedRow::outsideId).ifPresent(id -> card.setUid(new Uid(id)));
    row.map(IndexedRow::language).ifPresent(card::addLanguage);
    one.email().ifPresent(card::addEmail);
    written.numbers(one).forEach(number -> card.addTelephoneNumber(number, TelephoneType.VOICE));
    one.notes().forEach(card::addNote);
    return card;
  }

  /** The jobs of customers, the titles first. */
  public List<List<String>> jobs(CustomerSentence sentence, StaffId asking) {
    List<List<String>> rows = new ArrayList<>();
    rows.add(
        List.of(
            "Number",
            "Customer",
            "Customer outside id",
            "What",
            "How far",
            "State",
            "Place",
            "Opened",
            "Closed"));
    each(
        sentence,
        asking,
        one -> works.of(new CustomerId(one.id())).jobs().forEach(job -> rows.add(row(one, job))));
    return rows;
  }

  /** The appointments of customers as a calendar (RFC 5545). */
  public String calendar(CustomerSentence sentence, StaffId asking) {
    List<CalendarFeed.Event> events = new ArrayList<>();
    each(
        sentence,
        asking,
        one ->
            works
                .of(new CustomerId(one.id()))
                .appointments()
                .forEach(agreed -> events.add(new CalendarFeed.Event(agreed, one.name()))));
    return CalendarFeed.write(events, written.now());
  }

  private List<String> row(Profile one, Job job) {
    return List.of(
        or(job.number()),
        one.name(),
        index.find(one.id()).map(known -> or(known.row().outsideId())).orElse(""),
        job.what(),
        job.standing(),
        job.state().name().toLowerCase(Locale.ROOT),
        or(job.place()),
        or(job.openedAt()),
        or(job.closedAt()));
  }

  private static String or(@Nullable Object words) {
    return words == null ? "" : words.toString();
  }

  /** Numbers as they are written out. */
  @Component
  static class Written {
    private final TypedNumbers numbers;
    private final Clock clock;

    Written(TypedNumbers numbers, Clock clock) {
      this.numbers = numbers;
      this.clock = clock;
    }

    Instant now() {
      return clock.instant();
    }

    List<String> numbers(Profile one) {
      return one.numbers().stream()
          .filter(held -> held.at(clock.instant()))
          .map(held -> numbers.local(held.number().e164()))
          .distinct()
          .toList();
    }
  }
}
