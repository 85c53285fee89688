package fabulum.server.several;

import fabulum.core.cost.Money;
import fabulum.core.sending.Author;
import fabulum.core.sending.Objection;
import fabulum.core.sending.Reason;
import fabulum.core.sending.SendQuestion.Allowance;
import fabulum.core.sending.SendRules;
import fabulum.core.sending.Severity;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.customers.NumberId;
import fabulum.server.inbox.ConversationView;
import fabulum.server.messaging.Messaging;
import fabulum.server.sending.Decisions.Decided;
import fabulum.server.sending.SendSetup;
import fabulum.server.sending.Wanted;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What the same text to several would come to: who gets it, what it costs, what is against it. */
@Component
class TextCheck {
  /** Said of the act as a whole, and not of each text of it. */
  static final Set<Reason> OF_ACT =
      Set.of(Reason.MANY_RECIPIENTS, Reason.OVER_ALLOWANCE, Reason.ALLOWANCE_NEARLY_USED);

  private final Messaging messaging;
  private final SendSetup setup;

  TextCheck(Messaging messaging, SendSetup setup) {
    this.messaging = messaging;
    this.setup = setup;
  }

  CheckView check(String words, List<ConversationView> chosen, StaffId by) {
    Author author = new Author.Several(by.value(), chosen.size());
    List<Skipped> skipped = new ArrayList<>();
    Set<NumberId> reached = new HashSet<>();
    Sum sum = new Sum();
    for (ConversationView one : groupsFirst(chosen)) {
      Decided decided = decide(one, words, author);
      Optional<String> why = against(decided).or(() -> again(one, decided, reached));
      if (why.isEmpty()) {
        reached.addAll(decided.numbers());
      }
      why.ifPresentOrElse(
          sentence -> skipped.add(new Skipped(one.id(), BatchCheck.name(one), sentence)),
          () -> sum.add(decided));
    }
    int will = chosen.size() - skipped.size();
    List<Objection> ofAct =
        SendRules.ofAct(will, sum.parts, List.copyOf(sum.allowances), setup.get().policy());
    return new CheckView(
        will,
        sum.parts,
        sum.cost,
        sum.currency,
        skipped,
        ofAct.stream().map(Objection::sentence).toList(),
        ofAct.stream().anyMatch(each -> each.severity() == Severity.REFUSE));
  }

  /** Otherwise the others of a group would miss what one of them got alone. */
  private static List<ConversationView> groupsFirst(List<ConversationView> chosen) {
    return chosen.stream()
        .sorted(Comparator.comparingInt(ConversationView::numbers).reversed())
        .toList();
  }

  /** Nobody gets it twice. */
  private static Optional<String> again(
      ConversationView one, Decided decided, Set<NumberId> reached) {
    if (Collections.disjoint(decided.numbers(), reached)) {
      return Optional.empty();
    }
    return Optional.of(
        (one.numbers() > 1 ? "A number of this group" : "This number")
            + " already gets it, in another conversation.");
  }

  private Decided decide(ConversationView one, String words, Author author) {
    Wanted wanted = Wanted.of(words, author, null);
    return messaging.look(new ConversationId(one.id()), wanted, List.of(), null).decided();
  }

  private static Optional<String> against(Decided decided) {
    return decided.decision().against(Set.of()).stream()
        .filter(each -> !OF_ACT.contains(each.reason()))
        .findFirst()
        .map(Objection::sentence);
  }

  /** What those who get it come to together. */
  private static final class Sum {
    private int parts;
    private @Nullable BigDecimal cost;
    private @Nullable String currency;
    private final Set<Allowance> allowances = new LinkedHashSet<>();

    void add(Decided decided) {
      parts += decided.decision().parts();
      allowances.addAll(decided.allowances());
      decided.cost().ifPresent(this::add);
    }

    private void add(Money money) {
      cost = cost == null ? money.amount() : cost.add(money.amount());
      currency = money.currency();
    }
  }
}
