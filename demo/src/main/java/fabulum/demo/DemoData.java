package fabulum.demo;

import fabulum.core.conversation.ConversationState;
import fabulum.demo.Situation.Line;
import fabulum.demo.Situation.Speaker;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Everything the demonstration is made of, before it is in any table. Lists refer to each other by
 * position.
 */
record DemoData(List<Customer> customers, List<Number> numbers, List<Conversation> conversations) {

  record Customer(
      String name,
      String first,
      @Nullable String email,
      int site,
      @Nullable String boat,
      String length,
      String berth,
      @Nullable Appointment appointment,
      @Nullable String job) {}

  record Appointment(String what, Instant startsAt) {}

  /**
   * A number.
   *
   * @param holders positions of customers; none for a stranger
   */
  record Number(String address, List<Integer> holders) {
    boolean isPhone() {
      return address.startsWith("+");
    }
  }

  /**
   * A conversation.
   *
   * @param number its position
   * @param owner position of a member of staff, or null
   * @param topics names of topics of its line's team
   */
  record Conversation(
      Line line,
      int number,
      @Nullable Integer owner,
      ConversationState state,
      Set<String> topics,
      List<Entry> entries) {}

  /**
   * A line of a script.
   *
   * @param by position of a member of staff, or null for the customer
   */
  record Entry(Speaker speaker, Instant at, String words, @Nullable Integer by) {}
}
