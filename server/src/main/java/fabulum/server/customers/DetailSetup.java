package fabulum.server.customers;

import fabulum.core.customer.DetailType;
import java.util.List;

/**
 * What a lead sets up about an extra field.
 *
 * @param name unique, 1 to 60 characters
 * @param choices of a choice, 1 to 40 of them; ignored for other types
 * @param retired no longer asked for
 */
public record DetailSetup(String name, DetailType type, List<String> choices, boolean retired) {
  public DetailSetup {
    choices = List.copyOf(choices);
  }
}
