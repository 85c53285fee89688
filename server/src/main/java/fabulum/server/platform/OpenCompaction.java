package fabulum.server.platform;

import java.sql.Connection;
import java.sql.SQLException;
import java.time.Duration;
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
  static final long SMALL = 8L << 20;

  /** A file is worth compacting when it is so many times as large as what is in it. */
  static final int GROWN = 2;

  /**
   * How long one step may work, in milliseconds. Commits wait for parts of it, so it is short and
   * not too frequent.
   */
  private static final int STEP_MILLIS = 50;

  /** Room is used again so long after what was there was replaced: three steps, so three syncs. */
  private static final Duration RETENTION = Duration.ofSeconds(15);

  private final DataSource database;

  OpenCompaction(DataSource database) {
    this.database = database;
  }

  @Scheduled(initialDelay = 5, fixedDelay = 5, timeUnit = TimeUnit.SECONDS)
  void step() {
    try (Connection connection = database.getConnection()) {
      step(connection, RETENTION);
    } catch (SQLException | RuntimeException e) {
      log.warn("The database file could not be compacted; trying again", e);
    }
  }

  /**
   * Writes to the disk, and compacts for a moment if the file has grown.
   *
   * @param retention how long ago what was in a place must have been replaced
   * @return whether it did
   */
  static boolean step(Connection connection, Duration retention) throws SQLException {
    if (!connection.isWrapperFor(JdbcConnection.class)) {
      return false;
    }
    SessionLocal session = (SessionLocal) connection.unwrap(JdbcConnection.class).getSession();
    MVStore store = session.getDatabase().getStore().getMvStore();
    if (store.isClosed()) {
      return false;
    }
    store.setRetentionTime((int) retention.toMillis());
    store.sync();
    if (!isWorthIt(store)) {
      return false;
    }
    store.compactFile(STEP_MILLIS);
    return true;
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
