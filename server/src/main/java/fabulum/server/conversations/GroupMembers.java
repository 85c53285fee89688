package fabulum.server.conversations;

import fabulum.core.phone.NumberReader;
import fabulum.core.phone.Region;
import fabulum.core.phone.Sender;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.MemberRow;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.NumberId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Component;

/** Who takes part in group conversations. */
@Component
public class GroupMembers {
  private static final Region ANYWHERE = new Region("ZZ");

  private final ConversationMapper conversations;
  private final NumberReader numbers = new NumberReader();

  GroupMembers(ConversationMapper conversations) {
    this.conversations = conversations;
  }

  /**
   * One number of a group.
   *
   * @param holders whose it is; none or several while it is to identify
   * @param names of its holders, in the same order
   */
  public record Member(
      NumberId number, Sender sender, List<CustomerId> holders, List<String> names) {
    public Member {
      holders = List.copyOf(holders);
      names = List.copyOf(names);
    }
  }

  /** What a member is called: whose number it is, or the number as people in a region write it. */
  public String name(Member member, Region region) {
    return member.names().isEmpty()
        ? numbers.forPeople(member.sender(), region)
        : String.join(" or ", member.names());
  }

  /** The same, where no region is at hand: a number is written with its country code. */
  public String name(Member member) {
    return name(member, ANYWHERE);
  }

  /** The members of one group, in the order of their numbers. */
  public List<Member> of(ConversationId id) {
    return of(List.of(id.value())).getOrDefault(id.value(), List.of());
  }

  /** The members of several groups, by conversation. */
  public Map<Long, List<Member>> of(Collection<Long> ids) {
    if (ids.isEmpty()) {
      return Map.of();
    }
    Map<Long, Map<Long, List<MemberRow>>> rows = new LinkedHashMap<>();
    for (MemberRow row : conversations.listMembers(ids)) {
      rows.computeIfAbsent(row.conversationId(), none -> new LinkedHashMap<>())
          .computeIfAbsent(row.numberId(), none -> new ArrayList<>())
          .add(row);
    }
    Map<Long, List<Member>> members = new LinkedHashMap<>();
    rows.forEach(
        (id, each) -> members.put(id, each.values().stream().map(GroupMembers::member).toList()));
    return members;
  }

  private static Member member(List<MemberRow> rows) {
    MemberRow first = rows.get(0);
    return new Member(
        new NumberId(first.numberId()),
        Sender.ofAddress(first.address()),
        rows.stream()
            .map(MemberRow::customerId)
            .filter(Objects::nonNull)
            .map(CustomerId::new)
            .toList(),
        rows.stream().map(MemberRow::name).filter(Objects::nonNull).toList());
  }
}
