package fabulum.server.messaging;

import fabulum.core.cost.Money;
import fabulum.server.conversations.ReceivedText;
import fabulum.server.cost.Costs;
import fabulum.server.lines.Lines;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What a text costs that the network brought. */
@Component
class IncomingCost {
  private final Lines lines;
  private final Costs costs;

  IncomingCost(Lines lines, Costs costs) {
    this.lines = lines;
    this.costs = costs;
  }

  /** Empty where no price holds. */
  Optional<Money> of(ReceivedText text) {
    return costs.textIn(lines.get(text.line()), text.when().at());
  }
}
