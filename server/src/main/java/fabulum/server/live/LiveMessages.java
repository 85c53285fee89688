package fabulum.server.live;

import fabulum.server.conversations.changes.ConversationChanged;
import fabulum.server.conversations.changes.GuestLeft;
import fabulum.server.conversations.changes.SightChanged;
import fabulum.server.conversations.script.EntryView;
import fabulum.server.inbox.Inbox;
import fabulum.server.inbox.Scripts;
import fabulum.server.notices.NoticeGiven;
import fabulum.server.notices.Notices;
import fabulum.server.ownership.BroughtIn.Brought;
import fabulum.server.people.ColleaguesChanged;
import fabulum.server.people.PeopleChanged;
import fabulum.server.platform.Troubles;
import fabulum.server.presence.Watchers;
import fabulum.server.setup.SetUpChanged;
import fabulum.server.templates.TemplatesChanged;
import fabulum.server.writing.SecondLooksChanged;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/** Makes of what changed what open browsers are told, in the order it was committed. */
@Component
class LiveMessages implements DisposableBean {
  private static final Logger log = LoggerFactory.getLogger(LiveMessages.class);

  private final Inbox inbox;
  private final Scripts scripts;
  private final Watchers watchers;
  private final Notices notices;
  private final LiveStream stream;
  private final ExecutorService teller = Executors.newSingleThreadExecutor(LiveMessages::daemon);

  LiveMessages(
      Inbox inbox, Scripts scripts, Watchers watchers, Notices notices, LiveStream stream) {
    this.inbox = inbox;
    this.scripts = scripts;
    this.watchers = watchers;
    this.notices = notices;
    this.stream = stream;
  }

  private static Thread daemon(Runnable work) {
    Thread thread = new Thread(work, "live-teller");
    thread.setDaemon(true);
    return thread;
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void changed(ConversationChanged change) {
    tellLater(() -> {
      // Entries first: the row is then at least as new as they are, and never contradicts them.
      List<EntryView> entries = scripts.entries(change.entries());
      inbox
          .find(change.id())
          .ifPresent(row ->
              stream.broadcast(
                  LiveMessage.conversation(row, entries), Audience.seeing(row.spot())));
    });
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void changed(SightChanged change) {
    tellLater(() ->
        inbox
            .find(change.id())
            .ifPresent(row ->
                stream.broadcast(
                    LiveMessage.gone(row.id(), Gone.why(change.before(), row)),
                    Audience.losing(change.before(), row.spot()))));
  }

  /** It may be on a line that their page does not know yet. */
  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void brought(Brought brought) {
    tellLater(() -> stream.broadcast(LiveMessage.readAgain(), Audience.only(brought.who())));
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void left(GuestLeft left) {
    tellLater(() ->
        inbox
            .find(left.id())
            .ifPresent(row ->
                stream.broadcast(
                    LiveMessage.gone(row.id(), Gone.LET_OUT),
                    sight -> sight.who() == left.who().value() && !sight.sees(row.spot()))));
  }

  @EventListener
  void changed(Troubles.Changed change) {
    tellLater(() -> stream.broadcast(LiveMessage.troubles(), Audience.everybody()));
  }

  @EventListener
  void changed(Watchers.Changed change) {
    tellLater(() ->
        inbox
            .find(change.id())
            .ifPresent(row ->
                stream.broadcast(
                    LiveMessage.watched(watchers.at(change.id())), Audience.seeing(row.spot()))));
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void given(NoticeGiven given) {
    tellLater(() ->
        notices
            .find(given.id())
            .ifPresent(notice ->
                stream.broadcast(
                    LiveMessage.notice(notice, given.by().stream().sorted().toList()),
                    Audience.only(given.to()))));
  }

  /**
   * Told within a transaction or outside of one; either way those who ask then read what is new.
   */
  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT, fallbackExecution = true)
  void changed(ColleaguesChanged change) {
    tellLater(() -> stream.broadcast(LiveMessage.people(), Audience.everybody()));
  }

  /** What someone may see or do shows everywhere on their page, so they read again. */
  @EventListener
  void changed(PeopleChanged change) {
    tellLater(() -> {
      stream.broadcast(LiveMessage.people(), Audience.everybody());
      stream.broadcast(LiveMessage.readAgain(), sight -> change.mayConcern(sight.who()));
    });
  }

  /**
   * Lines, topics and promises show everywhere, so everyone reads again; a line that is new shows
   * to those who see it.
   */
  @EventListener
  void changed(SetUpChanged change) {
    tellLater(() -> {
      if (change.added().isPresent()) {
        stream.broadcast(LiveMessage.setUp(), Audience.everybody());
      }
      stream.broadcast(
          LiveMessage.readAgain(),
          change.added().map(Audience::seeingLine).orElseGet(Audience::everybody));
    });
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void changed(TemplatesChanged change) {
    tellLater(() -> stream.broadcast(LiveMessage.templates(), Audience.everybody()));
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void changed(SecondLooksChanged change) {
    tellLater(() -> stream.broadcast(LiveMessage.desks(), Audience.everybody()));
  }

  /** While the program ends nobody listens any more. */
  private void tellLater(Runnable telling) {
    if (!teller.isShutdown()) {
      teller.execute(() -> tell(telling));
    }
  }

  private void tell(Runnable telling) {
    try {
      telling.run();
    } catch (RuntimeException e) {
      log.warn("A change could not be told; everyone reads again", e);
      stream.broadcast(LiveMessage.readAgain(), Audience.everybody());
    }
  }

  @Override
  public void destroy() {
    teller.shutdown();
  }
}
