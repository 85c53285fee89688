package fabulum.server.platform;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Watches the room on the disk: tells leads in time, and stops writing before it is full. */
@Component
public class DiskReserve {
  private static final Logger log = LoggerFactory.getLogger(DiskReserve.class);
  private static final long MEGABYTE = 1L << 20;

  private final Room room;
  private final DiskSettings settings;
  private final Troubles troubles;
  private final Ballast ballast;
  private volatile boolean stopped;

  DiskReserve(Room room, DiskSettings settings, Troubles troubles, Ballast ballast) {
    this.room = room;
    this.settings = settings;
    this.troubles = troubles;
    this.ballast = ballast;
    look();
  }

  /** How much room there is. */
  @FunctionalInterface
  public interface Room {
    /** Octets that can still be written where the data is. */
    long usable() throws IOException;

    /** The room around a folder. */
    static Room of(Path folder) {
      return () -> {
        Path there = folder.toAbsolutePath();
        while (!Files.exists(there) && there.getParent() != null) {
          there = there.getParent();
        }
        return Files.getFileStore(there).getUsableSpace();
      };
    }
  }

  /** Whether nothing is to be written now. */
  public boolean isStopped() {
    return stopped;
  }

  /** Refuses, in a plain sentence, while nothing is to be written. */
  public void requireRoom() {
    if (stopped) {
      throw Problem.conflict(
          Problem.Kind.NO_SPACE,
          "The disk is almost full, so nothing can be saved just now. What you were writing is kept"
              + " here; try again when a lead has made room.");
    }
  }

  @Scheduled(fixedDelay = 1, timeUnit = TimeUnit.SECONDS)
  final void look() {
    try {
      judge(room.usable());
    } catch (IOException e) {
      log.warn("The room on the disk cannot be told", e);
    }
  }

  private void judge(long usable) {
    boolean before = stopped;
    stopped = usable < settings.stopBelow().toBytes();
    if (usable < Ballast.OCTETS / 2) {
      ballast.release();
    } else if (usable - Ballast.OCTETS > settings.stopBelow().toBytes()) {
      ballast.takeUp();
    }
    if (stopped != before) {
      log.warn("{} MB free: {}", usable / MEGABYTE, stopped ? "writing stops" : "writing goes on");
    }
    if (stopped) {
      troubles.report(
          Troubles.Kind.DISK_FULL,
          "The disk is almost full. Nothing is saved, sent or taken in until there is room again;"
              + " the phone network keeps its texts meanwhile. Free some space on the server.");
    } else {
      troubles.over(Troubles.Kind.DISK_FULL);
    }
    if (!stopped && usable < settings.tellBelow().toBytes()) {
      troubles.report(
          Troubles.Kind.DISK_LOW,
          "The disk of the server is filling up: less than "
              + settings.tellBelow().toMegabytes()
              + " MB are free. Free some space before it is full.");
    } else {
      troubles.over(Troubles.Kind.DISK_LOW);
    }
  }
}
