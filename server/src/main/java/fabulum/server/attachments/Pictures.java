package fabulum.server.attachments;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import fabulum.core.attachment.PictureSize;
import fabulum.core.attachment.Rotation;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Optional;
import java.util.Set;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.ImageOutputStream;
import org.jspecify.annotations.Nullable;

/** Reads, turns and shrinks pictures. Whatever is wrong with one is {@link Unreadable}. */
final class Pictures {
  static {
    // Pictures are read from files as it is; another copy of them on the disk helps nobody.
    ImageIO.setUseCache(false);
  }

  private Pictures() {}

  /** A picture is broken, or of a format that is not read here. */
  static class Unreadable extends IOException {
    private static final long serialVersionUID = 1L;

    Unreadable(@Nullable Throwable why) {
      super("The picture cannot be read", why);
    }
  }

  /** A picture has more pixels than are read. */
  static final class TooManyPixels extends Unreadable {
    private static final long serialVersionUID = 1L;
    private final long megapixels;

    TooManyPixels(long megapixels) {
      super(null);
      this.megapixels = megapixels;
    }

    long megapixels() {
      return megapixels;
    }
  }

  /** How large a picture is, without unpacking it; empty for what cannot be read here. */
  static Optional<PictureSize> size(Path file) throws IOException {
    try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (!readers.hasNext()) {
        return Optional.empty();
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(in, true, true);
        return Optional.of(new PictureSize(reader.getWidth(0), reader.getHeight(0)));
      } catch (IOException | RuntimeException broken) {
        throw new Unreadable(broken);
      } finally {
        reader.dispose();
      }
    }
  }

  /**
   * Reads a picture and turns it upright.
   *
   * @param longestSide no more is read than is needed for a picture of this size
   * @throws TooManyPixels when unpacked it would be too large
   */
  static BufferedImage read(Path file, int longestSide) throws IOException {
    PictureSize size = size(file).orElseThrow(() -> new Unreadable(null));
    if (!size.isReadable()) {
      throw new TooManyPixels(size.megapixels());
    }
    try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
      ImageReader reader = ImageIO.getImageReaders(in).next();
      try {
        reader.setInput(in, true, true);
        ImageReadParam param = reader.getDefaultReadParam();
        int every = size.everyPixel(longestSide);
        param.setSourceSubsampling(every, every, 0, 0);
        return turned(shrunk(reader.read(0, param), longestSide), turn(file));
      } catch (IOException | RuntimeException broken) {
        // Readers throw all kinds of exceptions for what is broken or made on purpose.
        throw new Unreadable(broken);
      } finally {
        reader.dispose();
      }
    }
  }

  /** What a picture carries besides what it shows. */
  record Carried(Rotation turn, boolean more) {}

  /** How it has to be turned, and whether a camera or program has written more into it. */
  static Carried carried(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      Metadata metadata = ImageMetadataReader.readMetadata(in);
      boolean more = false;
      for (Directory each : metadata.getDirectories()) {
        more |= !PLAIN.contains(each.getName());
      }
      ExifIFD0Directory exif = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
      return new Carried(exif == null ? Rotation.NONE : turn(exif), more);
    } catch (ImageProcessingException | RuntimeException unreadable) {
      return new Carried(Rotation.NONE, true);
    }
  }

  /** What says nothing of place, time or device. */
  private static final Set<String> PLAIN =
      Set.of(
          "JPEG",
          "JFIF",
          "Huffman",
          "Adobe JPEG",
          "File Type",
          "PNG-IHDR",
          "PNG-sRGB",
          "PNG-gAMA",
          "PNG-PLTE",
          "PNG-pHYs",
          "PNG Chromaticities");

  private static Rotation turn(Path file) throws IOException {
    return carried(file).turn();
  }

  private static Rotation turn(ExifIFD0Directory exif) {
    try {
      return exif.containsTag(ExifIFD0Directory.TAG_ORIENTATION)
          ? Rotation.ofExif(exif.getInt(ExifIFD0Directory.TAG_ORIENTATION))
          : Rotation.NONE;
    } catch (MetadataException noNumber) {
      return Rotation.NONE;
    }
  }

  static BufferedImage turned(BufferedImage picture, Rotation turn) {
    if (turn.equals(Rotation.NONE)) {
      return picture;
    }
    int width = turn.isSideways() ? picture.getHeight() : picture.getWidth();
    int height = turn.isSideways() ? picture.getWidth() : picture.getHeight();
    AffineTransform move = AffineTransform.getTranslateInstance(width / 2.0, height / 2.0);
    move.quadrantRotate(turn.quarters());
    if (turn.mirrored()) {
      move.scale(-1, 1);
    }
    move.translate(-picture.getWidth() / 2.0, -picture.getHeight() / 2.0);
    BufferedImage upright = new BufferedImage(width, height, typeOf(picture));
    Graphics2D pen = upright.createGraphics();
    pen.drawImage(picture, move, null);
    pen.dispose();
    return upright;
  }

  private static int typeOf(BufferedImage picture) {
    return picture.getColorModel().hasAlpha()
        ? BufferedImage.TYPE_INT_ARGB
        : BufferedImage.TYPE_INT_RGB;
  }

  /** Halved again and again, so that nothing between the pixels is skipped. */
  static BufferedImage shrunk(BufferedImage picture, int longestSide) {
    PictureSize wanted = sizeOf(picture).within(longestSide);
    BufferedImage now = picture;
    while (now.getWidth() > 2 * wanted.width()) {
      PictureSize half = sizeOf(now).within(Math.max(now.getWidth(), now.getHeight()) / 2);
      now = drawn(now, half, typeOf(now));
    }
    return sizeOf(now).equals(wanted) ? now : drawn(now, wanted, typeOf(now));
  }

  static PictureSize sizeOf(BufferedImage picture) {
    return new PictureSize(picture.getWidth(), picture.getHeight());
  }

  private static BufferedImage drawn(BufferedImage picture, PictureSize size, int type) {
    BufferedImage drawn = new BufferedImage(size.width(), size.height(), type);
    Graphics2D pen = drawn.createGraphics();
    pen.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
    if (type == BufferedImage.TYPE_INT_RGB) {
      pen.setColor(Color.WHITE);
      pen.fillRect(0, 0, size.width(), size.height());
    }
    pen.drawImage(picture, 0, 0, size.width(), size.height(), null);
    pen.dispose();
    return drawn;
  }

  /** Writes a JPEG; what could be seen through is white. */
  static void writeJpeg(BufferedImage picture, float quality, Path to) throws IOException {
    BufferedImage opaque =
        picture.getType() == BufferedImage.TYPE_INT_RGB
            ? picture
            : drawn(picture, sizeOf(picture), BufferedImage.TYPE_INT_RGB);
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    Files.deleteIfExists(to);
    try (ImageOutputStream out = ImageIO.createImageOutputStream(to.toFile())) {
      writer.setOutput(out);
      ImageWriteParam param = writer.getDefaultWriteParam();
      param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      param.setCompressionQuality(quality);
      writer.write(null, new IIOImage(opaque, null, null), param);
    } finally {
      writer.dispose();
    }
  }

  static void writePng(BufferedImage picture, Path to) throws IOException {
    Files.deleteIfExists(to);
    if (!ImageIO.write(picture, "png", to.toFile())) {
      throw new IOException("No PNG could be written");
    }
  }
}
