package fabulum.server.writing;

import fabulum.core.access.Sight;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.NumberReader.Typed;
import fabulum.core.phone.Region;
import fabulum.core.phone.Sender;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.SightColumns;
import fabulum.server.customers.Customers;
import fabulum.server.customers.FoundNumber;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.lines.Sights;
import fabulum.server.platform.Problem;
import fabulum.server.writing.store.WritingMapper;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Whom a person can write to unasked, and on which lines. */
@Service
public class Addressees {
  private static final int FOUND = 12;

  private final WritingMapper rows;
  private final Customers customers;
  private final Lines lines;
  private final Sights sights;
  private final NumberReader numbers = new NumberReader();

  Addressees(WritingMapper rows, Customers customers, Lines lines, Sights sights) {
    this.rows = rows;
    this.customers = customers;
    this.lines = lines;
    this.sights = sights;
  }

  /**
   * Someone who can be written to.
   *
   * @param number as people at home write it
   * @param address in E.164
   * @param name of the customer; empty when nobody is known to hold the number
   * @param detail the detail that contains what was sought
   * @param usualLine the line to write from: the one the customer wrote to last, else one of their
   *     site; null when there is none such
   * @param conversations those there are with the number, the newest first
   */
  public record Person(
      String number,
      String address,
      @Nullable String name,
      @Nullable String detail,
      @Nullable Long usualLine,
      List<Known> conversations) {}

  /** A conversation there is. */
  public record Known(long id, long lineId) {}

  /**
   * What was found.
   *
   * @param people whose number, name or details contain the words
   * @param number what was typed, in E.164, when it is a number nobody has written from
   * @param shownNumber the same as people at home write it
   * @param extension was typed with it and is left out: a text cannot reach it
   */
  public record Found(
      List<Person> people,
      @Nullable String number,
      @Nullable String shownNumber,
      @Nullable String extension) {}

  /** The lines someone can begin a conversation on: those in use that they see. */
  public List<LineView> lines(StaffId asking) {
    Sight sight = sights.of(asking);
    return lines.list().stream().filter(line -> line.inUse() && sight.seesLine(line.id())).toList();
  }

  /** Finds whom to write to from a line. */
  public Found find(String words, LineId from, StaffId asking) {
    requireSight(from, asking);
    if (words.isBlank()) {
      return new Found(List.of(), null, null, null);
    }
    Region region = new Region(lines.get(from).region());
    List<FoundNumber> found =
        customers.search(words, FOUND).stream()
            .filter(number -> Sender.ofAddress(number.address()).answerable().isPresent())
            .toList();
    Map<Long, List<Known>> known = known(found, asking);
    List<LineView> mine = lines(asking);
    List<Person> people =
        found.stream()
            .map(number -> {
              List<Known> there = known.getOrDefault(number.numberId(), List.of());
              return new Person(
                  numbers.forPeople(Sender.ofAddress(number.address()), region),
                  number.address(),
                  number.customerName(),
                  number.detail(),
                  usualLine(number, there, mine),
                  there);
            })
            .toList();
    if (numbers.readTyped(words, region) instanceof Typed.Understood typed
        && people.stream().noneMatch(p -> p.address().equals(typed.number().e164()))) {
      return new Found(
          people,
          typed.number().e164(),
          numbers.forPeople(typed.number(), region),
          typed.extension().orElse(null));
    }
    return new Found(people, null, null, null);
  }

  private @Nullable Long usualLine(FoundNumber number, List<Known> there, List<LineView> mine) {
    List<Long> ids = there.stream().map(Known::id).toList();
    Long last = ids.isEmpty() ? null : rows.findLastWrittenTo(ids);
    return Stream.concat(
            mine.stream().filter(line -> Objects.equals(line.id(), last)),
            mine.stream().filter(line -> Objects.equals(line.siteId(), number.siteId())))
        .findFirst()
        .map(LineView::id)
        .orElse(null);
  }

  private Map<Long, List<Known>> known(List<FoundNumber> found, StaffId asking) {
    List<Long> ids = found.stream().map(FoundNumber::numberId).distinct().toList();
    return conversations(ids, asking).stream()
        .collect(
            Collectors.groupingBy(
                Conversation::numberId,
                Collectors.mapping(row -> new Known(row.id(), row.lineId()), Collectors.toList())));
  }

  /** The conversations there are with numbers, as far as someone sees them; the newest first. */
  List<Conversation> conversations(List<Long> numbers, StaffId asking) {
    return numbers.isEmpty()
        ? List.of()
        : rows.listOfNumbers(numbers, SightColumns.of(sights.of(asking)));
  }

  /** Refuses a line that someone does not see, as if it were not there. */
  void requireSight(LineId line, StaffId asking) {
    if (!sights.of(asking).seesLine(line.value())) {
      throw Problem.notFound("line");
    }
  }
}
