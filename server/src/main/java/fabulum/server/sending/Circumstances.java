package fabulum.server.sending;

import fabulum.core.agreement.TextKind;
import fabulum.core.phone.Region;
import fabulum.core.phone.Sender;
import fabulum.core.sending.SendPolicy;
import fabulum.core.sending.SendQuestion.Content;
import fabulum.core.sending.SendQuestion.Sent;
import fabulum.server.attachments.MediaLinks;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.GroupMembers;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberFacts;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineView;
import fabulum.server.platform.Troubles;
import fabulum.server.sending.SendSettings.Appended;
import fabulum.server.sending.store.LatelyMapper;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What happened before a text goes, and what has to stand under it because of that. */
@Component
class Circumstances {
  /** A text is an answer for so long after the customer's last one. */
  private static final Duration ANSWERING = Duration.ofDays(1);

  private final LatelyMapper lately;
  private final Troubles troubles;
  private final MediaLinks links;
  private final GroupMembers groups;
  private final Customers customers;
  private final Clock clock;

  Circumstances(
      LatelyMapper lately,
      Troubles troubles,
      MediaLinks links,
      GroupMembers groups,
      Customers customers,
      Clock clock) {
    this.groups = groups;
    this.customers = customers;
    this.links = links;
    this.lately = lately;
    this.troubles = troubles;
    this.clock = clock;
  }

  /** Whether the network can fetch attachments from us. */
  boolean canLink() {
    return links.isPossible();
  }

  boolean isNetworkWaiting() {
    return troubles.list().stream().anyMatch(each -> each.kind() == Troubles.Kind.NETWORK);
  }

  /** Whether a text of theirs waits, or came within a day. */
  boolean isAnswered(Conversation row) {
    return row.state().waitingSince().isPresent() || isAnsweredAt(row, clock.instant());
  }

  /** Whether a text of theirs came within a day before a moment ahead. */
  boolean isAnsweredAt(Conversation row, Instant at) {
    return lately.existsReceived(row.id(), at.minus(ANSWERING));
  }

  /** The last time the same words went to a number. */
  Optional<Sent> same(Wanted wanted, Optional<NumberFacts> facts, SendPolicy policy) {
    String words = wanted.words();
    if (words.isBlank() || policy.sameTextWithin().isZero()) {
      return Optional.empty();
    }
    Instant since = clock.instant().minus(policy.sameTextWithin());
    return facts
        .flatMap(
            known -> lately.findSame(known.id(), words, words.length(), since, wanted.reference()))
        .map(row -> new Sent(row.at(), row.writer() == null ? "Fabulum" : row.writer()));
  }

  /** The words as they leave: what Fabulum itself says leaves as it is. */
  Content content(Wanted wanted, LineView line, List<NumberFacts> facts, SendSettings settings) {
    if (wanted.author().isItself()) {
      return Content.of(wanted.words());
    }
    TextKind kind = TextKind.SERVICE;
    Appended appended = settings.appended(kind);
    boolean due = !appended.words().isBlank() && isDue(appended, kind, facts);
    return Content.with(
        wanted.words(),
        kind,
        List.of(line.signature(), due ? appended.words() : ""),
        wanted.attachments());
  }

  /** What goes to several at once has them below as soon as they are due for one of them. */
  private boolean isDue(Appended appended, TextKind kind, List<NumberFacts> facts) {
    Instant since = clock.instant().minus(Duration.ofDays(appended.days()));
    return facts.isEmpty()
        || facts.stream()
            .anyMatch(known ->
                lately
                    .findAppended(known.id(), kind)
                    .filter(last -> last.isAfter(since))
                    .isEmpty());
  }

  /** One number of a group with what is known of it. */
  record Known(Sender sender, String name, NumberFacts facts) {}

  /**
   * The numbers of a group.
   *
   * @param region in which numbers without holders are written
   */
  List<Known> members(Conversation row, Region region) {
    return groups.of(new ConversationId(row.id())).stream()
        .map(one ->
            new Known(
                one.sender(),
                groups.name(one, region),
                customers.facts(one.sender()).orElseThrow()))
        .toList();
  }

  /** Whether nothing was said in a group yet. */
  boolean isFirst(Conversation row) {
    return !lately.existsText(row.id());
  }

  /** The words that must stand there went to a number. */
  void appended(NumberId number, TextKind kind, EntryId with) {
    lately.deleteAppended(number.value(), kind);
    lately.insertAppended(number.value(), kind, with.value(), clock.instant());
  }

  /** A text did not leave, so they did not go with it. */
  void notAppended(EntryId with) {
    lately.deleteAppendedWith(with.value());
  }
}
