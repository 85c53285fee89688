package fabulum.server.writing;

import fabulum.core.access.Act;
import fabulum.core.conversation.Participants;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.NumberReader.Typed;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.text.OneLine;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.InSight;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.RaceRetry;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Writing to someone unasked: in which conversation. */
@Service
public class WriteTo {
  private static final int LONGEST_NAME = 160;

  private final Conversations conversations;
  private final Customers customers;
  private final Lines lines;
  private final Addressees addressees;
  private final Permits permits;
  private final InSight inSight;
  private final TransactionTemplate transactions;
  private final NumberReader numbers = new NumberReader();

  WriteTo(
      Conversations conversations,
      Customers customers,
      Lines lines,
      Addressees addressees,
      Permits permits,
      InSight inSight,
      TransactionTemplate transactions) {
    this.conversations = conversations;
    this.customers = customers;
    this.lines = lines;
    this.addressees = addressees;
    this.permits = permits;
    this.inSight = inSight;
    this.transactions = transactions;
  }

  /**
   * Whom to write to.
   *
   * @param numbers as someone typed them; several form a group
   * @param makeCustomer whether a number becomes a customer's, when nobody holds it; of a group
   *     none does
   * @param name of that customer; blank for the number as their name
   */
  public record Wanted(LineId line, List<String> numbers, boolean makeCustomer, String name) {
    public Wanted {
      numbers = List.copyOf(numbers);
    }
  }

  /** The conversation to write in: the one there is, else a new one. */
  public ConversationId open(Wanted wanted, StaffId by) {
    addressees.requireSight(wanted.line(), by);
    permits.require(by, Act.TEXT);
    LineView line = lines.get(wanted.line());
    Region region = new Region(line.region());
    Participants others = others(wanted.numbers(), region);
    if (wanted.name().strip().length() > LONGEST_NAME) {
      throw Problem.fields(List.of(new FieldProblem("name", "A name has at most 160 characters.")));
    }
    OneLine.objection(wanted.name().strip())
        .ifPresent(why -> {
          throw Problem.fields(List.of(new FieldProblem("name", why)));
        });
    return RaceRetry.run(() -> transactions.execute(status -> open(wanted, others, region, by)));
  }

  /** What is a colleague's on a narrowed line is refused, and nobody is made a customer then. */
  private ConversationId open(Wanted wanted, Participants others, Region region, StaffId by) {
    if (others.isGroup()) {
      ConversationId id = conversations.open(wanted.line(), others);
      inSight.row(id, by);
      return id;
    }
    PhoneNumber number = others.members().get(0).answerable().orElseThrow();
    NumberId known = customers.numberOf(number);
    if (wanted.makeCustomer() && customers.holderNames(known).isEmpty()) {
      String name =
          wanted.name().isBlank() ? numbers.forPeople(number, region) : wanted.name().strip();
      customers.add(name, number);
      conversations.matchAgain(known);
    }
    ConversationId id = conversations.open(wanted.line(), others);
    inSight.row(id, by);
    return id;
  }

  /** All that is wrong with any of them is said at once. */
  private Participants others(List<String> typed, Region region) {
    List<PhoneNumber> read = new ArrayList<>();
    List<FieldProblem> bad = new ArrayList<>();
    for (int i = 0; i < typed.size(); i++) {
      String field = i == 0 ? "number" : "others[" + (i - 1) + "]";
      try {
        read.add(typed(typed.get(i), region, field));
      } catch (Problem problem) {
        bad.addAll(problem.fields());
      }
    }
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
    Set<PhoneNumber> different = new LinkedHashSet<>(read);
    if (different.size() > Participants.LARGEST) {
      throw Problem.fields(
          List.of(
              new FieldProblem(
                  "others",
                  "A group has at most " + Participants.LARGEST + " numbers. Nothing was made.")));
    }
    return Participants.group(different);
  }

  private PhoneNumber typed(String number, Region region, String field) {
    Typed typed = numbers.readTyped(number, region);
    if (typed instanceof Typed.Understood understood) {
      if (lines.findByNumber(understood.number()).isPresent()) {
        throw Problem.fields(
            List.of(
                new FieldProblem(
                    field, "This is the number of one of our own lines. Nothing was made.")));
      }
      return understood.number();
    }
    String why = ((Typed.Impossible) typed).why();
    throw Problem.fields(List.of(new FieldProblem(field, why + " Nothing was made.")));
  }
}
