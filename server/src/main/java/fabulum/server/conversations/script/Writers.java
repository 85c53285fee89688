package fabulum.server.conversations.script;

import fabulum.core.identify.WhoWrote;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.script.EntryView.Writer;
import fabulum.server.customers.Holdings;
import fabulum.server.customers.NumberId;
import fabulum.server.customers.Profiles;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import org.springframework.stereotype.Component;

/** Who wrote the texts that came in, from who held their numbers then and what people said. */
@Component
class Writers {
  private final Holdings holdings;
  private final Profiles profiles;

  Writers(Holdings holdings, Profiles profiles) {
    this.holdings = holdings;
    this.profiles = profiles;
  }

  /** The writers of those entries of which that is known, by entry. */
  Map<Long, Writer> of(List<Entry> entries) {
    Map<Long, WhoWrote> numbers = new HashMap<>();
    Map<Long, Long> customers = new HashMap<>();
    for (Entry entry : entries) {
      if (entry.kind() != EntryKind.IN || entry.numberId() == null) {
        continue;
      }
      WhoWrote who =
          numbers.computeIfAbsent(entry.numberId(), id -> holdings.whoWrote(new NumberId(id)));
      OptionalLong writer = who.of(entry.conversationId(), entry.id(), entry.at());
      writer.ifPresent(customer -> customers.put(entry.id(), customer));
    }
    Map<Long, String> names = profiles.names(customers.values().stream().distinct().toList());
    Map<Long, Writer> writers = new HashMap<>();
    customers.forEach((entry, customer) -> {
      String name = names.get(customer);
      if (name != null) {
        writers.put(entry, new Writer(customer, name));
      }
    });
    return writers;
  }
}
