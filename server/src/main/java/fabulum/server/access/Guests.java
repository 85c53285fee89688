package fabulum.server.access;

import fabulum.server.access.store.GuestMapper;
import fabulum.server.platform.BriefMemory;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Colleagues who were brought into single conversations, which they see besides what is theirs. */
@Service
public class Guests {
  private final GuestMapper rows;
  private final BriefMemory<Map<Long, Set<Long>>> all;

  Guests(GuestMapper rows) {
    this.rows = rows;
    this.all = new BriefMemory<>(this::read);
  }

  private Map<Long, Set<Long>> read() {
    return rows.listAll().stream()
        .collect(
            Collectors.groupingBy(
                Guest::staff, Collectors.mapping(Guest::conversation, Collectors.toSet())));
  }

  /** The conversations into which somebody was brought. */
  public Set<Long> of(StaffId who) {
    return all.get().getOrDefault(who.value(), Set.of());
  }

  /** Who was brought into a conversation, the first first. */
  public List<Guest> in(long conversation) {
    return rows.list(conversation);
  }

  /** Somebody as a guest of a conversation. */
  public Optional<Guest> find(long conversation, StaffId who) {
    return in(conversation).stream().filter(one -> one.staff() == who.value()).findFirst();
  }

  /** Brings a colleague in, or changes what they may do; within a transaction that holds it. */
  public void put(Guest guest) {
    rows.delete(guest.conversation(), guest.staff());
    rows.insert(guest);
    all.forget();
  }

  /**
   * Lets somebody out, within a transaction that holds the conversation.
   *
   * @return whether they were in
   */
  public boolean remove(long conversation, StaffId who) {
    boolean was = rows.delete(conversation, who.value()) > 0;
    all.forget();
    return was;
  }
}
