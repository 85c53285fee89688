package fabulum.server.customers;

import fabulum.core.customer.DetailType;
import java.util.List;

/**
 * An extra field of customers, which a lead names.
 *
 * @param choices of a choice, one a line; empty for other types
 * @param place where it stands among the others, from 1
 * @param retired no longer asked for; what customers have stays with them
 * @param version grows with each change
 */
public record DetailKind(
    long id,
    String name,
    DetailType type,
    String choices,
    int place,
    boolean retired,
    long version) {

  /** What can be chosen. */
  public List<String> listChoices() {
    return choices.lines().filter(choice -> !choice.isBlank()).toList();
  }
}
