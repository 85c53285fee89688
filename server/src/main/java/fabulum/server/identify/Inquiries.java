package fabulum.server.identify;

import fabulum.core.identify.Inquiry;
import fabulum.core.identify.Spoken;
import fabulum.core.phone.Sender;
import fabulum.server.conversations.Conversation;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.numbers.NumberCheck;
import fabulum.server.numbers.NumberChecks;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What is asked about the writer of a conversation. */
@Component
class Inquiries {
  private final Lines lines;
  private final NumberChecks checks;

  Inquiries(Lines lines, NumberChecks checks) {
    this.lines = lines;
    this.checks = checks;
  }

  /** What is known of the number from outside. */
  Optional<NumberCheck> check(Conversation row) {
    NumberId number = new NumberId(row.numberId());
    return Optional.ofNullable(checks.of(List.of(number)).get(row.numberId()));
  }

  Inquiry of(Conversation row, List<Spoken> said, Optional<NumberCheck> check) {
    return new Inquiry(
        Sender.ofAddress(row.address()).answerable(),
        said,
        ZoneId.of(lines.get(new LineId(row.lineId())).zone()),
        check.map(NumberCheck::registeredTo));
  }

  /** Whether numbers can be checked. */
  boolean canCheck() {
    return checks.isThere();
  }
}
