package fabulum.server.platform;

import java.sql.Connection;
import java.sql.SQLException;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import javax.sql.DataSource;
import org.h2.engine.SessionLocal;
import org.h2.jdbc.JdbcConnection;
import org.h2.mvstore.MVStore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Gives back, while the program runs, the room that each commit takes in the database file. With
 * {@code WRITE_DELAY=0} H2 does not do so by itself. {@link MVStore} is H2's own class and not part
 * of what it documents, so this is the only place that uses it.
 *
 * <p>Room is used again some time after what was there was replaced, and only behind a write to the
 * disk itself: so a power failure finds each page it needs.
 */
@Component
class OpenCompaction {
  private static final Logger log = LoggerFactory.getLogger(OpenCompaction.class);

  /** A smaller file is left alone, in octets. */
  static final long SMALL = 32L << 20;

  /** A file is worth compacting when it is this many times as large as its content. */
  static final int GROWN = 2;

  /**
   * How long one step may work, in milliseconds. Commits wait for parts of it, so it is short and
   * not too frequent.
   */
  private static final int STEP_MILLIS = 50;

  /** With fewer commits than this between two steps it is quiet, and nobody minds a step. */
  private static final int QUIET = 50;

  /**
   * While it is busy only one step in this many compacts, since commits wait for it up to half a
   * second; the file grows meanwhile and is made smaller when it is quiet again.
   */
  private static final int BUSY_STEPS = 12;

  /** While it is busy the disk is written to in one step of this many: commits wait a little. */
  private static final int STEPS_BEFORE_SYNC = 4;

  /** Room is used again so long after what was there was replaced: three syncs. */
  private static final Duration RETENTION = Duration.ofSeconds(60);

  private final DataSource database;
  private int steps;
  private long version;

  OpenCompaction(DataSource database) {
    this.database = database;
  }

  @Scheduled(initialDelay = 5, fixedDelay = 5, timeUnit = TimeUnit.SECONDS)
  synchronized void step() {
    try (Connection connection = database.getConnection()) {
      steps++;
      if (isQuiet(connection) || steps % BUSY_STEPS == 0) {
        step(connection, RETENTION);
      } else if (steps % STEPS_BEFORE_SYNC == 0) {
        sync(connection);
      }
    } catch (SQLException | RuntimeException e) {
      log.warn("The database file could not be compacted; trying again", e);
    }
  }

  private boolean isQuiet(Connection connection) throws SQLException {
    long now = store(connection).map(MVStore::getCurrentVersion).orElse(version);
    long commits = now - version;
    version = now;
    return commits < QUIET;
  }

  /** Writes all that was committed to the disk itself. */
  static void sync(Connection connection) throws SQLException {
    Optional<MVStore> store = store(connection);
    if (store.isPresent()) {
      store.get().sync();
    }
  }

  /**
   * Writes to the disk, and compacts for a moment if the file has grown.
   *
   * @param retention how long ago what was in a place must have been replaced
   * @return whether it did
   */
  static boolean step(Connection connection, Duration retention) throws SQLException {
    Optional<MVStore> store = store(connection);
    store.ifPresent(it -> {
      it.setRetentionTime((int) retention.toMillis());
      it.sync();
    });
    if (store.filter(OpenCompaction::isWorthIt).isEmpty()) {
      return false;
    }
    store.get().compactFile(STEP_MILLIS);
    return true;
  }

  /** The open store; empty on another database, or once it is closed. */
  private static Optional<MVStore> store(Connection connection) throws SQLException {
    if (!connection.isWrapperFor(JdbcConnection.class)) {
      return Optional.empty();
    }
    SessionLocal session = (SessionLocal) connection.unwrap(JdbcConnection.class).getSession();
    return Optional.of(session.getDatabase().getStore().getMvStore())
        .filter(store -> !store.isClosed());
  }

  private static boolean isWorthIt(MVStore store) {
    long size = store.getFileStore().size();
    return size > SMALL && size > GROWN * content(store, size);
  }

  private static long content(MVStore store, long size) {
    return size
        * store.getFileStore().getFillRate()
        / 100
        * store.getFileStore().getChunksFillRate()
        / 100;
  }
}
