package fabulum.server.writing;

import fabulum.core.access.Act;
import fabulum.core.access.Sight;
import fabulum.core.conversation.Participants;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.phone.Sender;
import fabulum.core.text.OneLine;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.SightColumns;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Customers;
import fabulum.server.customers.FoundNumber;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.lines.Sights;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.writing.store.WritingMapper;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Writing to somebody unasked: whom, and in which conversation. */
@Service
public class WriteTo {
  private static final int FOUND = 12;
  private static final int TRIES = 4;
  private static final int LONGEST_NAME = 160;

  private final Conversations conversations;
  private final WritingMapper rows;
  private final Customers customers;
  private final Lines lines;
  private final Sights sights;
  private final Permits permits;
  private final InSight inSight;
  private final TransactionTemplate transactions;
  private final NumberReader numbers = new NumberReader();

  WriteTo(
      Conversations conversations,
      WritingMapper rows,
      Customers customers,
      Lines lines,
      Sights sights,
      Permits permits,
      InSight inSight,
      TransactionTemplate transactions) {
    this.conversations = conversations;
    this.rows = rows;
    this.customers = customers;
    this.lines = lines;
    this.sights = sights;
    this.permits = permits;
    this.inSight = inSight;
    this.transactions = transactions;
  }

  /**
   * Somebody one can write to.
   *
   * @param number as people at home write it
   * @param address in E.164
   * @param name of the customer; empty when nobody is known to hold the number
   * @param detail the detail that contains what was sought
   * @param conversations those there are with the number, the newest first
   */
  public record Person(
      String number,
      String address,
      @Nullable String name,
      @Nullable String detail,
      List<Known> conversations) {}

  /** A conversation there is. */
  public record Known(long id, long lineId) {}

  /**
   * What was found.
   *
   * @param people whose number, name or details contain the words
   * @param number what was typed, in E.164, when it is a number nobody has written from
   * @param shownNumber the same as people at home write it
   */
  public record Found(List<Person> people, @Nullable String number, @Nullable String shownNumber) {}

  /** The lines somebody can begin a conversation on: those in use that they see. */
  public List<LineView> lines(StaffId asking) {
    Sight sight = sights.of(asking);
    return lines.list().stream().filter(line -> line.inUse() && sight.seesLine(line.id())).toList();
  }

  /** Finds whom to write to from a line. */
  public Found find(String words, LineId from, StaffId asking) {
    requireSight(from, asking);
    if (words.isBlank()) {
      return new Found(List.of(), null, null);
    }
    Region region = new Region(lines.get(from).region());
    List<FoundNumber> found =
        customers.search(words, FOUND).stream()
            .filter(number -> Sender.ofAddress(number.address()).answerable().isPresent())
            .toList();
    Map<Long, List<Known>> known = known(found, SightColumns.of(sights.of(asking)));
    List<Person> people =
        found.stream()
            .map(number ->
                new Person(
                    numbers.forPeople(Sender.ofAddress(number.address()), region),
                    number.address(),
                    number.customerName(),
                    number.detail(),
                    known.getOrDefault(number.numberId(), List.of())))
            .toList();
    Optional<PhoneNumber> typed =
        numbers
            .readNumber(words, region)
            .filter(number -> people.stream().noneMatch(p -> p.address().equals(number.e164())));
    return new Found(
        people,
        typed.map(PhoneNumber::e164).orElse(null),
        typed.map(number -> numbers.forPeople(number, region)).orElse(null));
  }

  private Map<Long, List<Known>> known(List<FoundNumber> found, SightColumns sight) {
    List<Long> ids = found.stream().map(FoundNumber::numberId).distinct().toList();
    return ids.isEmpty()
        ? Map.of()
        : rows.listOfNumbers(ids, sight).stream()
            .collect(
                Collectors.groupingBy(
                    Conversation::numberId,
                    Collectors.mapping(
                        row -> new Known(row.id(), row.lineId()), Collectors.toList())));
  }

  /**
   * Whom to write to.
   *
   * @param number as somebody typed it
   * @param makeCustomer whether the number becomes a customer's, when nobody holds it
   * @param name of that customer; blank for the number as their name
   */
  public record Wanted(LineId line, String number, boolean makeCustomer, String name) {}

  /** The conversation to write in: the one there is, else a new one. */
  public ConversationId open(Wanted wanted, StaffId by) {
    requireSight(wanted.line(), by);
    permits.require(by, Act.TEXT);
    LineView line = lines.get(wanted.line());
    Region region = new Region(line.region());
    PhoneNumber number =
        numbers.readNumber(wanted.number(), region).orElseThrow(() -> noSuchNumber(region));
    if (wanted.name().strip().length() > LONGEST_NAME) {
      throw Problem.fields(List.of(new FieldProblem("name", "A name has at most 160 characters.")));
    }
    OneLine.objection(wanted.name().strip())
        .ifPresent(why -> {
          throw Problem.fields(List.of(new FieldProblem("name", why)));
        });
    for (int tries = 1; ; tries++) {
      try {
        return transactions.execute(status -> open(wanted, number, region, by));
      } catch (DuplicateKeyException | ConcurrencyFailureException race) {
        if (tries == TRIES) {
          throw race;
        }
      }
    }
  }

  /** What is a colleague's on a narrowed line is refused, and nobody is made a customer then. */
  private ConversationId open(Wanted wanted, PhoneNumber number, Region region, StaffId by) {
    NumberId known = customers.numberOf(number);
    if (wanted.makeCustomer() && customers.holderNames(known).isEmpty()) {
      String name =
          wanted.name().isBlank() ? numbers.forPeople(number, region) : wanted.name().strip();
      CustomerId customer = customers.add(name, number);
      conversations.identify(number, customer);
    }
    ConversationId id = conversations.open(wanted.line(), Participants.of(number));
    inSight.row(id, by);
    return id;
  }

  private void requireSight(LineId line, StaffId asking) {
    if (!sights.of(asking).seesLine(line.value())) {
      throw Problem.notFound("line");
    }
  }

  private static Problem noSuchNumber(Region region) {
    String country =
        new Locale.Builder().setRegion(region.code()).build().getDisplayCountry(Locale.ENGLISH);
    return Problem.fields(
        List.of(
            new FieldProblem(
                "number", "Not a valid phone number in " + country + ". Nothing was made.")));
  }
}
