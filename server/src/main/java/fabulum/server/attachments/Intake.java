package fabulum.server.attachments;

import fabulum.core.attachment.FileName;
import fabulum.server.attachments.FileStore.Part;
import fabulum.server.attachments.Preparation.Ready;
import fabulum.server.platform.DiskReserve;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Takes files from people: whole or not at all, and with the reason when not. */
@Component
class Intake {
  private static final Logger log = LoggerFactory.getLogger(Intake.class);

  private final FileStore store;
  private final Preparation preparation;
  private final AttachmentSettings settings;
  private final DiskReserve reserve;

  Intake(
      FileStore store, Preparation preparation, AttachmentSettings settings, DiskReserve reserve) {
    this.store = store;
    this.preparation = preparation;
    this.settings = settings;
    this.reserve = reserve;
  }

  /** The largest file that is taken, in octets. */
  long largest() {
    return settings.largest().toBytes();
  }

  /** Where a content lies, if it is here. */
  Optional<Path> find(String hash) {
    return store.has(hash) ? Optional.of(store.place(hash)) : Optional.empty();
  }

  /**
   * Makes a file ready to be sent and keeps it.
   *
   * @param most octets that may be sent; pictures are made so small
   * @throws Problem with the reason when it cannot be sent; nothing is kept then
   */
  Ready take(String name, InputStream content, long most) {
    reserve.requireRoom();
    try (Part part = store.read(content, largest())) {
      return preparation.toSend(part, name, most);
    } catch (FileStore.TooLarge large) {
      throw Problem.fields(
          List.of(
              new FieldProblem(
                  "file",
                  "“"
                      + FileName.clean(name, "file")
                      + "” is larger than "
                      + settings.largest().toMegabytes()
                      + " MB, so it was not added.")));
    } catch (IOException e) {
      log.warn("A file could not be kept", e);
      throw Problem.conflict(
          Kind.NO_SPACE,
          "“"
              + FileName.clean(name, "file")
              + "” could not be saved: it came only in part, or the disk is full. Nothing of it was"
              + " kept; add it again.");
    }
  }
}
