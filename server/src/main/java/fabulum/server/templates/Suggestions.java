package fabulum.server.templates;

import fabulum.core.access.Sight;
import fabulum.core.suggest.Suggestion;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.InSight;
import fabulum.server.lines.Sights;
import fabulum.server.platform.BriefMemory;
import fabulum.server.platform.CachedSetUp;
import fabulum.server.templates.store.TemplateMapper;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The templates that most probably answer what a customer has just asked. */
@Service
public class Suggestions implements CachedSetUp {
  private final TemplateMapper rows;
  private final TemplateBook book;
  private final OfferedTemplates offered;
  private final Learned learned;
  private final InSight inSight;
  private final Sights sights;
  private final BriefMemory<Boolean> on;

  Suggestions(
      TemplateMapper rows,
      TemplateBook book,
      OfferedTemplates offered,
      Learned learned,
      InSight inSight,
      Sights sights) {
    this.rows = rows;
    this.book = book;
    this.offered = offered;
    this.learned = learned;
    this.inSight = inSight;
    this.sights = sights;
    this.on = new BriefMemory<>(rows::suggests);
  }

  /** Whether templates are suggested at all. */
  public boolean isOn() {
    return on.get();
  }

  /** Switches suggestions on or off for everybody. */
  @Transactional
  public void setOn(boolean wanted) {
    rows.setSuggests(wanted);
    forget();
  }

  @Override
  public void forget() {
    on.forget();
  }

  /**
   * At most three templates for what the customer said since our last answer, filled; none when
   * they wait for nothing, or when nothing fits.
   */
  public List<SuggestedTemplate> list(ConversationId id, StaffId asking) {
    Conversation row = inSight.row(id, asking);
    String asked = isOn() ? learned.asked(row.id(), Long.MAX_VALUE) : "";
    if (asked.isEmpty()) {
      return List.of();
    }
    Set<Long> may =
        book.offered(row, asking).stream()
            .map(leaf -> leaf.row().id())
            .collect(Collectors.toUnmodifiableSet());
    Sight sight = sights.of(asking);
    List<Suggestion> found = learned.suggest(asked, may, sight);
    Map<Long, OfferedTemplate> filled =
        offered.fill(row, found.stream().map(Suggestion::template).toList(), asking).stream()
            .collect(Collectors.toMap(OfferedTemplate::id, Function.identity()));
    List<SuggestedTemplate> shown = new ArrayList<>();
    for (Suggestion one : found) {
      OfferedTemplate template = filled.get(one.template());
      if (template != null) {
        int percent = (int) Math.round(100 * one.likelihood());
        shown.add(new SuggestedTemplate(template, one.why(), percent));
      }
    }
    return shown;
  }
}
