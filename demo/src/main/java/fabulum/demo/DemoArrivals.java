package fabulum.demo;

import fabulum.core.arrival.Arrival;
import fabulum.core.conversation.Participants;
import fabulum.core.phone.PhoneNumber;
import fabulum.server.conversations.ReceivedText;
import fabulum.server.lines.LineId;
import fabulum.server.messaging.Arrivals;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * What arrives as the demonstration begins: three boat owners write to the dock office together,
 * and one customer wants no more texts.
 */
final class DemoArrivals {
  /** Customers of the dock office with one number, who are waiting for nothing. */
  private static final String OWNERS =
      "select n.address from conversation c join number n on n.id = c.number_id"
          + " where c.line_id = (select min(id) from line) and c.customer_id is not null"
          + " and c.box = 'DONE' and n.address like '+1%'"
          + " and not exists (select 1 from conversation o where o.customer_id = c.customer_id"
          + " and o.box in ('OUR_TURN', 'THEIR_TURN', 'SET_ASIDE'))"
          + " and (select count(*) from holding h where h.number_id = n.id) = 1"
          + " and (select count(*) from holding h where h.customer_id = c.customer_id) = 1"
          + " order by c.last_at desc, c.id fetch first 4 rows only";

  private final Arrivals arrivals;
  private final JdbcTemplate tables;

  DemoArrivals(Arrivals arrivals, JdbcTemplate tables) {
    this.arrivals = arrivals;
    this.tables = tables;
  }

  void write(Instant now) {
    List<PhoneNumber> owners =
        tables.queryForList(OWNERS, String.class).stream().map(PhoneNumber::new).toList();
    if (owners.size() < 4) {
      return;
    }
    LineId dock = new LineId(first("select min(id) from line"));
    together(dock, owners.subList(0, 3), now);
    optsOut(dock, owners.get(3), now);
  }

  private void optsOut(LineId line, PhoneNumber owner, Instant now) {
    Instant at = now.minus(Duration.ofMinutes(4));
    arrivals.receive(ReceivedText.of("demo-opts-out", line, owner, "STOP", Arrival.of(at, now)));
  }

  private void together(LineId dock, List<PhoneNumber> owners, Instant now) {
    says(
        dock,
        owners,
        0,
        14,
        "We three are racing together on Saturday. Could our boats lie next to each other from Friday evening?",
        now);
    says(dock, owners, 1, 11, "Mine can stay where she is, then the two of you come to me.", now);
    says(dock, owners, 2, 9, "Fine with me. What does a visitor's berth cost for two nights?", now);
  }

  private long first(String query) {
    Long found = tables.queryForObject(query, Long.class);
    return found == null ? 0 : found;
  }

  private void says(
      LineId line, List<PhoneNumber> group, int who, int minutesAgo, String words, Instant now) {
    Instant at = now.minus(Duration.ofMinutes(minutesAgo));
    arrivals.receive(
        new ReceivedText(
            "demo-group-" + who,
            line,
            group.get(who),
            Participants.group(group),
            words,
            Arrival.of(at, now),
            List.of()));
  }
}
