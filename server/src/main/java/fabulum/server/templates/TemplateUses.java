package fabulum.server.templates;

import fabulum.server.messaging.AnswerSent;
import fabulum.server.templates.store.TemplateMapper;
import java.time.Clock;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Keeps which template an answer was made from. */
@Component
class TemplateUses {
  private final TemplateMapper rows;
  private final TemplateBook book;
  private final Clock clock;

  TemplateUses(TemplateMapper rows, TemplateBook book, Clock clock) {
    this.rows = rows;
    this.book = book;
    this.clock = clock;
  }

  /** Within the transaction of the text, so that neither is without the other. */
  @EventListener
  void sent(AnswerSent answer) {
    Long template = answer.template();
    if (template != null && book.find(new TemplateId(template), answer.by()).isPresent()) {
      rows.insertUse(answer.text().value(), template, answer.by().value(), clock.instant());
    }
  }
}
