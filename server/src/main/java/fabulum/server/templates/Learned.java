package fabulum.server.templates;

import fabulum.core.access.Sight;
import fabulum.core.meaning.Meaning;
import fabulum.core.suggest.Lesson;
import fabulum.core.suggest.Recognizer;
import fabulum.core.suggest.Suggester;
import fabulum.core.suggest.Suggestion;
import fabulum.server.customers.CustomersRemoved;
import fabulum.server.meaning.RememberedMeaning;
import fabulum.server.meaning.SentenceModel;
import fabulum.server.messaging.AnswerSent;
import fabulum.server.templates.TemplateBook.Leaf;
import fabulum.server.templates.store.AnswerRow;
import fabulum.server.templates.store.TemplateMapper;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * What questions were answered with, in memory. It is read from the answers themselves, newest
 * first, and keeps nothing that is not in the database; so what is removed there is gone here. One
 * thread learns, so that nobody waits for it.
 */
@Component
class Learned implements DisposableBean {
  private static final Logger log = LoggerFactory.getLogger(Learned.class);

  private static final int PATIENCE_SECONDS = 20;

  private final TemplateMapper rows;
  private final TemplateBook book;
  private final SuggestionSettings settings;
  private final SentenceModel model;
  private final ExecutorService learner =
      Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "suggestions");
        thread.setDaemon(true);
        thread.setPriority(Thread.MIN_PRIORITY);
        return thread;
      });
  private final AtomicBoolean owed = new AtomicBoolean();
  private volatile boolean begun;
  private volatile boolean ending;
  private @Nullable RememberedMeaning meaning;
  private volatile @Nullable Taught taught;

  Learned(
      TemplateMapper rows, TemplateBook book, SuggestionSettings settings, SentenceModel model) {
    this.rows = rows;
    this.book = book;
    this.settings = settings;
    this.model = model;
  }

  /** What was learned, with whose answers they are. */
  private record Taught(Suggester suggester, Recognizer recognizer, Map<Long, AnswerRow> answers) {}

  /** Templates for a question, from answers that are seen; none while nothing is learned yet. */
  List<Suggestion> suggest(String asked, Set<Long> offered, Sight sight) {
    Taught now = taught;
    return now == null
        ? List.of()
        : now.suggester()
            .suggest(asked, offered, answer -> mayTell(now.answers().get(answer), sight));
  }

  /**
   * Of a line that is narrowed only a person's own answers: whose conversation it is changes, and
   * is not asked here for each of them.
   */
  private static boolean mayTell(@Nullable AnswerRow answer, Sight sight) {
    return answer != null
        && sight.seesLine(answer.lineId())
        && (!sight.narrowed().contains(answer.lineId()) || answer.speakerId() == sight.who());
  }

  /** What a customer said since the last answer before an entry; empty for nothing. */
  String asked(long conversation, long before) {
    List<String> texts = new ArrayList<>(rows.listAsked(conversation, before));
    Collections.reverse(texts);
    return String.join("\n", texts).strip();
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    begun = true;
    learnAgain();
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void changed(TemplatesChanged change) {
    learnAgain();
  }

  /** Many changes one after the other are learned together. */
  private void learnAgain() {
    if (begun && owed.compareAndSet(false, true)) {
      later(() -> {
        owed.set(false);
        learnAll();
      });
    }
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void removed(CustomersRemoved removed) {
    taught = null;
    later(() -> {
      RememberedMeaning remembered = meaning;
      if (remembered != null) {
        remembered.forgetAllBut(Suggester.fixedTexts());
      }
      learnAll();
    });
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void sent(AnswerSent answer) {
    later(() -> {
      Taught now = taught;
      if (now != null) {
        rows.findAnswer(answer.text().value()).ifPresent(row -> learn(now, row));
      }
    });
  }

  private void later(Runnable work) {
    if (begun && !ending) {
      learner.execute(() -> {
        try {
          work.run();
        } catch (RuntimeException e) {
          log.warn("What to suggest could not be learned", e);
        }
      });
    }
  }

  private void learnAll() {
    List<Leaf> leaves = book.list().stream().filter(leaf -> !leaf.row().retired()).toList();
    if (leaves.isEmpty()) {
      taught = null;
      return;
    }
    Suggester suggester = new Suggester(model());
    Recognizer recognizer = new Recognizer();
    for (Leaf leaf : leaves) {
      String words = leaf.text().plain();
      suggester.know(leaf.row().id(), leaf.row().title(), words);
      recognizer.know(leaf.row().id(), words);
    }
    Taught fresh = new Taught(suggester, recognizer, new ConcurrentHashMap<>());
    if (taught == null) {
      // At the start it gets better while it learns.
      taught = fresh;
    }
    if (learn(fresh, rows.listAnswers(0, settings.most()))) {
      taught = fresh;
    }
  }

  /** Learns from each of them that can be learned; false when the program ends meanwhile. */
  private boolean learn(Taught to, List<AnswerRow> answers) {
    List<RuntimeException> failures = new ArrayList<>();
    for (AnswerRow answer : answers) {
      if (ending) {
        return false;
      }
      try {
        learn(to, answer);
      } catch (RuntimeException e) {
        failures.add(e);
      }
    }
    if (!failures.isEmpty()) {
      log.warn(
          "{} of {} answers could not be learned, the first of them because of",
          failures.size(),
          answers.size(),
          failures.get(0));
    }
    return true;
  }

  private void learn(Taught to, AnswerRow answer) {
    OptionalLong template = template(to, answer);
    String asked = template.isPresent() ? asked(answer.conversationId(), answer.id()) : "";
    if (!asked.isEmpty()) {
      to.answers().put(answer.id(), answer);
      to.suggester().learn(new Lesson(answer.id(), template.getAsLong(), asked));
    }
  }

  private static OptionalLong template(Taught to, AnswerRow answer) {
    Long used = answer.templateId();
    return used == null ? to.recognizer().find(answer.words()) : OptionalLong.of(used);
  }

  /** The model, where there is one; without it letters alone decide. */
  private Optional<Meaning> model() {
    if (meaning == null) {
      meaning = model.find().map(Meaning::fine).map(RememberedMeaning::new).orElse(null);
    }
    return Optional.ofNullable(meaning);
  }

  /** The model's own code must not be cut off in its work: the process would not end well. */
  @Override
  public void destroy() {
    ending = true;
    learner.shutdown();
    try {
      if (!learner.awaitTermination(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
        log.warn("What to suggest was still being learned when the program ended");
      }
    } catch (InterruptedException ended) {
      Thread.currentThread().interrupt();
    }
  }
}
