package fabulum.server.attachments;

import fabulum.core.attachment.FileKind;
import fabulum.core.attachment.FileName;
import fabulum.core.attachment.PictureSize;
import fabulum.core.attachment.PictureSize.Reduction;
import fabulum.server.attachments.FileStore.Kept;
import fabulum.server.attachments.FileStore.Part;
import fabulum.server.attachments.Pictures.Carried;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Semaphore;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Makes files ready: finds out what they are; pictures to be sent are turned upright, freed of what
 * they carry of place and device, and made small enough; and of every picture one in small is made,
 * once.
 */
@Component
class Preparation {
  private static final Logger log = LoggerFactory.getLogger(Preparation.class);

  /** What an unpacked picture takes, with what is made of it. */
  private static final long MEMORY = 300_000_000;

  private static final float PREVIEW_QUALITY = 0.8f;

  /** Pictures of formats that are sent as they are, once they are clean. */
  private static final Set<String> SENT = Set.of("image/jpeg", "image/png", "image/gif");

  private final FileStore store;
  private final Semaphore working = new Semaphore(atOnce(), true);

  Preparation(FileStore store) {
    this.store = store;
  }

  private static int atOnce() {
    Runtime machine = Runtime.getRuntime();
    long fitting = machine.maxMemory() / MEMORY;
    return (int) Math.max(1, Math.min(machine.availableProcessors(), fitting));
  }

  /**
   * A file that is ready and kept.
   *
   * @param cameOctets its size before
   * @param preview hash of its picture in small; null where there is none
   */
  record Ready(
      String name,
      String mediaType,
      Kept content,
      long cameOctets,
      @Nullable String preview,
      @Nullable PictureSize size) {}

  /**
   * Makes a file ready that a person wants to send.
   *
   * @param most octets that the line carries; pictures are made so small
   * @throws Problem with the reason when it cannot be sent
   */
  Ready toSend(Part part, String givenName, long most) throws IOException {
    String name = FileType.named(givenName);
    long came = Files.size(part.path());
    if (came == 0) {
      throw bad("“" + name + "” is empty, so it was not added.");
    }
    String type = FileType.of(part.path(), name);
    FileKind kind = FileKind.of(type);
    if (kind == FileKind.OTHER) {
      throw bad("“" + name + "” is a kind of file that cannot be sent with a text.");
    }
    return kind == FileKind.PICTURE
        ? picture(part, name, type, most)
        : new Ready(name, type, store.keep(part), came, null, null);
  }

  private Ready picture(Part part, String name, String type, long most) throws IOException {
    if (Pictures.size(part.path()).isEmpty()) {
      throw bad(
          "“"
              + name
              + "” may say where and with what it was taken, and that cannot be taken out of this kind"
              + " of picture. Save it as JPEG first.");
    }
    working.acquireUninterruptibly();
    try {
      return pictureNow(part, name, type, most);
    } catch (Pictures.TooManyPixels large) {
      throw bad(
          String.format(
              "“%s” has %d megapixels; %d are the most. Make it smaller first.",
              name, large.megapixels(), PictureSize.MOST_PIXELS / 1_000_000));
    } catch (Pictures.Unreadable broken) {
      log.info("A picture could not be read: {}", broken.getMessage());
      throw bad("“" + name + "” is broken: the picture cannot be read.");
    } finally {
      working.release();
    }
  }

  private Ready pictureNow(Part part, String name, String type, long most) throws IOException {
    long came = Files.size(part.path());
    BufferedImage upright = Pictures.read(part.path(), PictureSize.LONGEST_SIDE);
    if (isSentAsItIs(part, type, most)) {
      return new Ready(
          name, type, store.keep(part), came, preview(upright), Pictures.sizeOf(upright));
    }
    try (Part smaller = store.begin()) {
      boolean seenThrough = upright.getColorModel().hasAlpha();
      if (type.equals("image/png") && seenThrough) {
        Pictures.writePng(upright, smaller.path());
        if (Files.size(smaller.path()) <= most) {
          return new Ready(
              name, type, store.keep(smaller), came, preview(upright), Pictures.sizeOf(upright));
        }
      }
      BufferedImage fitting = fitting(upright, most, smaller);
      String jpeg = "image/jpeg";
      String renamed = type.equals(jpeg) ? name : FileName.as(name, FileType.ending(jpeg));
      return new Ready(
          renamed, jpeg, store.keep(smaller), came, preview(upright), Pictures.sizeOf(fitting));
    }
  }

  private static boolean isSentAsItIs(Part part, String type, long most) throws IOException {
    boolean fits = Files.size(part.path()) <= most;
    if (!SENT.contains(type) || !fits) {
      return false;
    }
    // One that moves would stand still if it were drawn anew.
    if (type.equals("image/gif")) {
      return true;
    }
    Optional<PictureSize> size = Pictures.size(part.path());
    Carried carried = Pictures.carried(part.path());
    return !carried.more()
        && size.filter(it -> it.equals(it.within(PictureSize.LONGEST_SIDE))).isPresent();
  }

  /** Writes it as large as may be; the last step is taken as it is. */
  private static BufferedImage fitting(BufferedImage picture, long most, Part to)
      throws IOException {
    BufferedImage now = picture;
    for (Reduction step : PictureSize.reductions()) {
      now = Pictures.shrunk(now, step.longestSide());
      Pictures.writeJpeg(now, step.quality(), to.path());
      if (Files.size(to.path()) <= most) {
        return now;
      }
    }
    return now;
  }

  private String preview(BufferedImage picture) throws IOException {
    try (Part small = store.begin()) {
      Pictures.writeJpeg(
          Pictures.shrunk(picture, PictureSize.LONGEST_PREVIEW), PREVIEW_QUALITY, small.path());
      return store.keep(small).hash();
    }
  }

  /** Keeps what a customer sent as it came; a picture that cannot be read has none in small. */
  Ready arrived(Part part, String givenName) throws IOException {
    String name = FileType.named(givenName);
    String type = FileType.of(part.path(), name);
    long came = Files.size(part.path());
    if (FileKind.of(type) != FileKind.PICTURE) {
      return new Ready(name, type, store.keep(part), came, null, null);
    }
    working.acquireUninterruptibly();
    try {
      BufferedImage upright = Pictures.read(part.path(), 2 * PictureSize.LONGEST_PREVIEW);
      PictureSize stored = Pictures.size(part.path()).orElseThrow();
      PictureSize size =
          Pictures.carried(part.path()).turn().isSideways()
              ? new PictureSize(stored.height(), stored.width())
              : stored;
      return new Ready(name, type, store.keep(part), came, preview(upright), size);
    } catch (Pictures.Unreadable unreadable) {
      log.info("A picture that came cannot be shown small: {}", unreadable.getMessage());
      return new Ready(name, type, store.keep(part), came, null, null);
    } finally {
      working.release();
    }
  }

  private static Problem bad(String why) {
    return Problem.fields(List.of(new FieldProblem("file", why)));
  }
}
