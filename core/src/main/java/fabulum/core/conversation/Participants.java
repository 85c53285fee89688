package fabulum.core.conversation;

import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Sender;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;

/**
 * The other side of a conversation: one sender, or a group of phone numbers that see each other's
 * texts.
 *
 * @param channel the way their texts travel
 * @param members each once, in the order of their addresses; at least one, and at most {@link
 *     #LARGEST}
 */
public record Participants(Channel channel, List<Sender> members) {
  /** No line can allow larger groups. Their addresses are kept together in one column. */
  public static final int LARGEST = 20;

  private static final String BETWEEN = " ";

  public Participants {
    members = members.stream().distinct().sorted(Comparator.comparing(Sender::address)).toList();
    if (members.isEmpty() || members.size() > LARGEST) {
      throw new IllegalArgumentException(
          "A conversation has 1 to " + LARGEST + " participants, not " + members.size());
    }
    if (members.size() > 1 && members.stream().anyMatch(one -> one.answerable().isEmpty())) {
      throw new IllegalArgumentException("Only phone numbers can form a group");
    }
  }

  /** One sender, by text. */
  public static Participants of(Sender only) {
    return new Participants(Channel.TEXT, List.of(only));
  }

  /** A group of numbers, by text; a number said twice counts once. */
  public static Participants group(Collection<PhoneNumber> numbers) {
    return new Participants(Channel.TEXT, List.copyOf(numbers));
  }

  /** Those whose {@link #key()} this is. */
  public static Participants ofKey(Channel channel, String key) {
    return new Participants(
        channel, Arrays.stream(key.split(BETWEEN)).map(Sender::ofAddress).toList());
  }

  /** Whether there are several. */
  public boolean isGroup() {
    return members.size() > 1;
  }

  /** Whether a line that allows groups of {@code limit} numbers can have this conversation. */
  public boolean fits(int limit) {
    return members.size() <= Math.max(1, limit);
  }

  /**
   * What tells this conversation from every other one on its line and channel: the addresses, in
   * order. For {@code +13125550102} and {@code +13125550101} it is {@code +13125550101
   * +13125550102}. At most 400 characters.
   */
  public String key() {
    return members.stream().map(Sender::address).collect(Collectors.joining(BETWEEN));
  }
}
