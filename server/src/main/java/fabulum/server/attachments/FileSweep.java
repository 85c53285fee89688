package fabulum.server.attachments;

import fabulum.server.attachments.store.AttachmentMapper;
import fabulum.server.platform.Troubles;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Looks every few hours whether files and rows fit together: contents that no row names are thrown
 * away a day after they came, and contents that are lost are told to leads.
 */
@Component
class FileSweep {
  private static final Logger log = LoggerFactory.getLogger(FileSweep.class);
  private static final Duration KEPT = Duration.ofDays(1);
  private static final int AT_ONCE = 500;

  private final FileStore store;
  private final AttachmentMapper attachments;
  private final Troubles troubles;
  private final Clock clock;

  FileSweep(FileStore store, AttachmentMapper attachments, Troubles troubles, Clock clock) {
    this.clock = clock;
    this.store = store;
    this.attachments = attachments;
    this.troubles = troubles;
  }

  @Scheduled(initialDelay = 120, fixedDelay = 6 * 3_600, timeUnit = TimeUnit.SECONDS)
  void sweep() {
    try {
      sweep(clock.instant().minus(KEPT));
    } catch (IOException | RuntimeException e) {
      log.warn("Files of attachments could not be looked through; trying again later", e);
    }
  }

  /**
   * Sweeps.
   *
   * @param before what came later is left alone, since its row may be on its way
   */
  void sweep(Instant before) throws IOException {
    store.discardPartsOlderThan(before);
    List<String> old = store.listOlderThan(before);
    for (int i = 0; i < old.size(); i += AT_ONCE) {
      List<String> some = old.subList(i, Math.min(old.size(), i + AT_ONCE));
      Set<String> used = Set.copyOf(attachments.listUsed(some));
      List<String> unused = some.stream().filter(hash -> !used.contains(hash)).toList();
      store.discard(unused, hash -> !attachments.isUsed(hash));
    }
    int lost = countLost();
    if (lost == 0) {
      troubles.over(Troubles.Kind.FILES);
    } else {
      troubles.report(
          Troubles.Kind.FILES,
          (lost == 1 ? "The file of 1 attachment is" : "The files of " + lost + " attachments are")
              + " missing on the server. Put back the folder “files” of the data from a backup.");
    }
  }

  private int countLost() {
    List<String> lost = new ArrayList<>();
    String after = "";
    for (List<String> some = attachments.listHashes(after, AT_ONCE);
        !some.isEmpty();
        some = attachments.listHashes(after, AT_ONCE)) {
      some.stream().filter(hash -> !store.has(hash)).forEach(lost::add);
      after = some.get(some.size() - 1);
    }
    return lost.size();
  }
}
