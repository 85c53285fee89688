package fabulum.server.setup;

import fabulum.core.access.Act;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.templates.Suggestions;
import java.util.Map;
import org.springframework.stereotype.Service;

/** Sets up whether templates are suggested. Each change is kept with who made it and when. */
@Service
public class SuggestionSetUp {
  private final Suggestions suggestions;
  private final ChangeBook changes;
  private final SetUpChanges all;
  private final Permits permits;

  SuggestionSetUp(Suggestions suggestions, ChangeBook changes, SetUpChanges all, Permits permits) {
    this.suggestions = suggestions;
    this.changes = changes;
    this.all = all;
    this.permits = permits;
  }

  /** Whether templates are suggested. */
  public boolean isOn(StaffId asking) {
    permits.require(asking, Act.LEAD);
    return suggestions.isOn();
  }

  /** Switches them on or off for everybody. */
  public Outcome set(boolean on, StaffId by) {
    return all.carryOut(
        by,
        () -> {
          boolean before = suggestions.isOn();
          suggestions.setOn(on);
          changes.noteAll(by, "suggestions", said(before), said(on));
          return 1L;
        });
  }

  private static Map<String, String> said(boolean on) {
    return Map.of("templates are suggested", on ? "yes" : "no");
  }
}
