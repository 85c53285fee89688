package fabulum.server.writing;

import fabulum.core.agreement.Agreement.Answer;
import fabulum.core.agreement.TextKind;
import fabulum.core.hours.Hours;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.Region;
import fabulum.core.phone.Sender;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.InSight;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberFacts;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.sending.Agreements;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** From which lines, and to which numbers, a person can write to the customer of a conversation. */
@Service
public class Ways {
  private final InSight inSight;
  private final Customers customers;
  private final Addressees addressees;
  private final Lines lines;
  private final Agreements agreements;
  private final Clock clock;
  private final NumberReader numbers = new NumberReader();

  Ways(
      InSight inSight,
      Customers customers,
      Addressees addressees,
      Lines lines,
      Agreements agreements,
      Clock clock) {
    this.inSight = inSight;
    this.customers = customers;
    this.addressees = addressees;
    this.lines = lines;
    this.agreements = agreements;
    this.clock = clock;
  }

  /**
   * A way to the customer.
   *
   * @param address in E.164
   * @param number as people at the line write it
   * @param here whether it is the one of this conversation
   * @param conversation the conversation there, if there is one that the person sees
   * @param agreement what the holders of the number say to texts from the line
   * @param opensAt when the line opens; null while it is open, or when it never does
   */
  public record Way(
      long lineId,
      String line,
      String address,
      String number,
      boolean here,
      @Nullable Long conversation,
      Answer agreement,
      @Nullable Instant opensAt) {}

  /**
   * All ways, this conversation's own first: each line that the person may use with each number of
   * the customer. Where the number belongs to nobody, or to several customers, only that number.
   */
  public List<Way> list(ConversationId id, StaffId asking) {
    Conversation row = inSight.row(id, asking);
    Sender here = Sender.ofAddress(row.address());
    if (row.isGroup() || here.answerable().isEmpty()) {
      return List.of();
    }
    List<Sender> all = numbers(row, here);
    List<Conversation> known = known(all, asking);
    List<Way> ways = new ArrayList<>();
    for (LineView line : addressees.lines(asking)) {
      for (Sender number : all) {
        boolean same = line.id() == row.lineId() && number.equals(here);
        Optional<Conversation> there =
            known.stream()
                .filter(each -> each.lineId() == line.id())
                .filter(each -> each.address().equals(number.address()))
                .findFirst();
        ways.add(same ? 0 : ways.size(), way(line, number, same, there));
      }
    }
    return ways;
  }

  private List<Sender> numbers(Conversation row, Sender here) {
    Long customer = row.customerId();
    Stream<Sender> others =
        customer == null
            ? Stream.empty()
            : customers.find(new CustomerId(customer), new NumberId(row.numberId())).stream()
                .flatMap(each -> each.otherNumbers().stream())
                .map(Sender::ofAddress);
    return Stream.concat(Stream.of(here), others)
        .filter(each -> each.answerable().isPresent())
        .distinct()
        .toList();
  }

  private List<Conversation> known(List<Sender> numbers, StaffId asking) {
    List<Long> ids =
        numbers.stream()
            .flatMap(each -> customers.facts(each).stream())
            .map(NumberFacts::id)
            .toList();
    return addressees.conversations(ids, asking).stream().filter(each -> !each.isGroup()).toList();
  }

  private Way way(LineView line, Sender number, boolean here, Optional<Conversation> there) {
    LineId from = new LineId(line.id());
    Instant now = clock.instant();
    Hours hours = lines.promise(from).hours();
    Answer agreement =
        customers
            .facts(number)
            .map(facts -> agreements.of(facts, from).of(TextKind.SERVICE).answer())
            .orElse(Answer.NOT_SAID);
    return new Way(
        line.id(),
        line.name(),
        number.address(),
        numbers.forPeople(number, new Region(line.region())),
        here,
        there.map(Conversation::id).orElse(null),
        agreement,
        hours.isOpen(now) ? null : hours.nextOpen(now).orElse(null));
  }
}
