package fabulum.server.attachments;

import fabulum.core.delivery.RetryPlan;
import fabulum.server.attachments.Attachment.State;
import fabulum.server.attachments.FileStore.Part;
import fabulum.server.attachments.Preparation.Ready;
import fabulum.server.attachments.store.AttachmentMapper;
import fabulum.server.platform.DiskReserve;
import java.io.IOException;
import java.nio.file.Files;
import java.time.Clock;
import java.time.Instant;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Fetches what came with texts, with growing waits, for a day; then a person may ask for it again.
 * That two processes fetch the same does no harm: it is the same content, and only one notes it.
 */
@Component
class Fetching implements DisposableBean {
  private static final Logger log = LoggerFactory.getLogger(Fetching.class);
  private static final int AT_ONCE = 3;

  private final AttachmentMapper attachments;
  private final Download download;
  private final Preparation preparation;
  private final AttachmentSettings settings;
  private final DiskReserve disk;
  private final TransactionTemplate transactions;
  private final ApplicationEventPublisher events;
  private final Clock clock;
  private final Set<Long> busy = ConcurrentHashMap.newKeySet();
  private final ExecutorService workers =
      Executors.newFixedThreadPool(
          AT_ONCE,
          work -> {
            Thread thread = new Thread(work, "attachments");
            thread.setDaemon(true);
            return thread;
          });

  Fetching(
      AttachmentMapper attachments,
      Download download,
      Preparation preparation,
      AttachmentSettings settings,
      DiskReserve disk,
      TransactionTemplate transactions,
      ApplicationEventPublisher events,
      Clock clock) {
    this.attachments = attachments;
    this.download = download;
    this.preparation = preparation;
    this.settings = settings;
    this.disk = disk;
    this.transactions = transactions;
    this.events = events;
    this.clock = clock;
  }

  @Scheduled(initialDelay = 1_000, fixedDelay = 300, timeUnit = TimeUnit.MILLISECONDS)
  void round() {
    try {
      if (disk.isStopped() || busy.size() >= AT_ONCE) {
        return;
      }
      for (Attachment one : attachments.listToFetch(clock.instant(), AT_ONCE + busy.size())) {
        if (busy.size() < AT_ONCE && busy.add(one.id())) {
          workers.execute(() -> fetch(one));
        }
      }
    } catch (RuntimeException e) {
      log.warn("What came with texts could not be listed; trying again", e);
    }
  }

  private void fetch(Attachment one) {
    try {
      fetchNow(one);
    } catch (IOException | RuntimeException e) {
      log.info("Attachment {} could not be fetched: {}", one.id(), e.getMessage());
      failed(one, e instanceof Download.Refused || e instanceof FileStore.TooLarge);
    } finally {
      busy.remove(one.id());
    }
  }

  private void fetchNow(Attachment one) throws IOException {
    if (one.source() == null) {
      throw new Download.Refused("It has no address.");
    }
    try (Part part = download.fetch(one.source(), settings.largest().toBytes())) {
      requireWhole(one, part);
      Ready ready = preparation.arrived(part, one.name());
      arrived(one, ready);
    }
  }

  /** What was cut short or spoiled on the way is fetched again. */
  private static void requireWhole(Attachment one, Part part) throws IOException {
    if (Files.size(part.path()) != one.octets()) {
      throw new IOException("It has not the size that the network said.");
    }
    if (one.sourceHash() != null && !one.sourceHash().equals(FileStore.hash(part.path()))) {
      throw new IOException("Its content is not what the network said.");
    }
  }

  private void arrived(Attachment one, Ready ready) {
    Attachment here =
        new Attachment(
            one.id(),
            one.conversationId(),
            one.entryId(),
            null,
            null,
            null,
            one.place(),
            ready.name(),
            ready.mediaType(),
            ready.content().octets(),
            ready.cameOctets(),
            ready.content().hash(),
            ready.preview(),
            ready.size() == null ? null : ready.size().width(),
            ready.size() == null ? null : ready.size().height(),
            one.words(),
            State.HERE,
            one.madeAt(),
            null,
            null,
            one.tries());
    transactions.executeWithoutResult(status -> {
      if (attachments.arrived(here) == 1) {
        tell(one);
      }
    });
  }

  private void failed(Attachment one, boolean forGood) {
    Instant now = clock.instant();
    boolean over = forGood || now.isAfter(one.madeAt().plus(settings.triedFor()));
    try {
      transactions.executeWithoutResult(status -> {
        if (!over) {
          attachments.tryAgain(one.id(), now.plus(RetryPlan.USUAL.waits().after(one.tries() + 1)));
        } else if (attachments.missing(one.id()) == 1) {
          tell(one);
        }
      });
    } catch (RuntimeException e) {
      log.warn("That attachment {} could not be fetched was not kept", one.id(), e);
    }
  }

  private void tell(Attachment one) {
    if (one.entryId() != null) {
      events.publishEvent(
          new AttachmentFetched(new AttachmentId(one.id()), one.conversationId(), one.entryId()));
    }
  }

  @Override
  public void destroy() {
    workers.shutdownNow();
  }
}
