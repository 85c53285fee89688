package fabulum.server.history;

import fabulum.core.delivery.DeliveryState;
import fabulum.server.conversations.EntryKind;
import fabulum.server.history.store.SaidRow;
import java.util.ArrayList;
import java.util.List;

/** What is true of an entry besides its words, as the index keeps it. */
final class EntryFacts {
  static final String AUTOMATIC = "automatic";
  static final String ATTACHED = "attached";

  private EntryFacts() {}

  static String kind(EntryKind kind) {
    return "kind " + kind;
  }

  static String state(DeliveryState state) {
    return "state " + state;
  }

  static String by(long staff) {
    return "by " + staff;
  }

  static List<String> of(IndexedEntry entry) {
    SaidRow row = entry.row();
    List<String> facts = new ArrayList<>(List.of(kind(row.kind())));
    if (row.speakerId() != null) {
      facts.add(by(row.speakerId()));
    }
    if (row.automatic()) {
      facts.add(AUTOMATIC);
    }
    if (row.kind() == EntryKind.OUT && row.delivery() != null) {
      facts.add(state(row.delivery()));
    }
    if (!entry.attached().isEmpty()) {
      facts.add(ATTACHED);
    }
    return facts;
  }
}
