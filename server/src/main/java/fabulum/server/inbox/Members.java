package fabulum.server.inbox;

import fabulum.core.phone.NumberReader;
import fabulum.core.phone.Region;
import fabulum.core.sending.SendQuestion.NumberState;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.GroupMembers;
import fabulum.server.conversations.GroupMembers.Member;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberFacts;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.sending.Decisions;
import java.util.List;
import org.springframework.stereotype.Component;

/** Who takes part in a group, and who of them can be texted. */
@Component
class Members {
  private final GroupMembers groups;
  private final Customers customers;
  private final Decisions decisions;
  private final Lines lines;
  private final NumberReader numbers = new NumberReader();

  Members(GroupMembers groups, Customers customers, Decisions decisions, Lines lines) {
    this.groups = groups;
    this.customers = customers;
    this.decisions = decisions;
    this.lines = lines;
  }

  /** Everybody in a group; nobody where a conversation is with one number. */
  List<MemberView> of(Conversation row) {
    if (!row.isGroup()) {
      return List.of();
    }
    LineId line = new LineId(row.lineId());
    Region region = new Region(lines.get(line).region());
    return groups.of(new ConversationId(row.id())).stream()
        .map(one -> view(one, line, region))
        .toList();
  }

  private MemberView view(Member one, LineId line, Region region) {
    boolean known = one.holders().size() == 1;
    return new MemberView(
        groups.name(one, region),
        numbers.forPeople(one.sender(), region),
        one.sender().address(),
        known ? one.holders().get(0).value() : null,
        !known,
        decisions.hasOptedOut(one.sender(), line),
        customers.facts(one.sender()).map(NumberFacts::state).orElse(NumberState.GOOD));
  }
}
