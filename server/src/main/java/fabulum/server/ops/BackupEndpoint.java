package fabulum.server.ops;

import fabulum.server.platform.Backup;
import fabulum.server.platform.Backup.Made;
import org.springframework.boot.actuate.endpoint.annotation.Endpoint;
import org.springframework.boot.actuate.endpoint.annotation.WriteOperation;
import org.springframework.stereotype.Component;

/** Makes a backup while the program runs. */
@Component
@Endpoint(id = "backup")
class BackupEndpoint {
  private final Backup backup;

  BackupEndpoint(Backup backup) {
    this.backup = backup;
  }

  /** Makes a backup; it is whole when this returns. */
  @WriteOperation
  public Made make() {
    return backup.make();
  }
}
