package fabulum.server.attachments;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;

/** Files to try things with, made here. */
final class Samples {
  private Samples() {}

  /** A picture whose upper left quarter is red, on blue; {@code noise} makes it large. */
  static BufferedImage picture(int width, int height, boolean noise, int type) {
    BufferedImage picture = new BufferedImage(width, height, type);
    Graphics2D pen = picture.createGraphics();
    pen.setColor(Color.BLUE);
    pen.fillRect(0, 0, width, height);
    pen.setColor(Color.RED);
    pen.fillRect(0, 0, width / 2, height / 2);
    pen.dispose();
    if (noise) {
      Random random = new Random(5);
      for (int y = height / 2; y < height; y++) {
        for (int x = 0; x < width; x++) {
          picture.setRGB(x, y, 0xff000000 | random.nextInt(1 << 24));
        }
      }
    }
    return picture;
  }

  static byte[] written(BufferedImage picture, String format) {
    try {
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      if (!ImageIO.write(picture, format, out)) {
        throw new IllegalStateException("No " + format);
      }
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  static byte[] jpeg(int width, int height, boolean noise) {
    return written(picture(width, height, noise, BufferedImage.TYPE_INT_RGB), "jpeg");
  }

  static byte[] png(int width, int height) {
    BufferedImage picture = picture(width, height, false, BufferedImage.TYPE_INT_ARGB);
    picture.setRGB(0, 0, 0);
    return written(picture, "png");
  }

  /** The same JPEG as a telephone writes it: with its make, and how it was held (Exif 2.32). */
  static byte[] ofTelephone(byte[] jpeg, int orientation) {
    byte[] make = "Heronphone 7\0".getBytes(StandardCharsets.US_ASCII);
    ByteBuffer tiff = ByteBuffer.allocate(8 + 2 + 2 * 12 + 4 + make.length);
    tiff.put("MM".getBytes(StandardCharsets.US_ASCII)).putShort((short) 42).putInt(8);
    tiff.putShort((short) 2);
    tiff.putShort((short) 0x10f).putShort((short) 2).putInt(make.length).putInt(8 + 2 + 24 + 4);
    tiff.putShort((short) 0x112).putShort((short) 3).putInt(1);
    tiff.putShort((short) orientation).putShort((short) 0);
    tiff.putInt(0).put(make);
    ByteBuffer all = ByteBuffer.allocate(jpeg.length + 4 + 6 + tiff.capacity());
    all.put(jpeg, 0, 2);
    all.putShort((short) 0xffe1).putShort((short) (2 + 6 + tiff.capacity()));
    all.put("Exif\0\0".getBytes(StandardCharsets.US_ASCII)).put(tiff.array());
    all.put(jpeg, 2, jpeg.length - 2);
    return all.array();
  }

  /** The beginning of a PNG that says how large it is, and has nothing in it. */
  static byte[] hugePng(int width, int height) {
    ByteBuffer head = ByteBuffer.allocate(17);
    head.put("IHDR".getBytes(StandardCharsets.US_ASCII)).putInt(width).putInt(height);
    head.put(new byte[] {8, 2, 0, 0, 0});
    CRC32 sum = new CRC32();
    sum.update(head.array());
    return ByteBuffer.allocate(8 + 4 + 17 + 4)
        .put(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 26, '\n'})
        .putInt(13)
        .put(head.array())
        .putInt((int) sum.getValue())
        .array();
  }

  static byte[] zip() {
    try {
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      try (ZipOutputStream zip = new ZipOutputStream(out)) {
        zip.putNextEntry(new ZipEntry("berths.txt"));
        zip.write(words("C14 is free"));
        zip.closeEntry();
      }
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  static byte[] pdf() {
    return words("%PDF-1.4\n1 0 obj<</Type/Catalog>>endobj\ntrailer<</Root 1 0 R>>\n%%EOF\n");
  }

  static byte[] words(String words) {
    return words.getBytes(StandardCharsets.UTF_8);
  }
}
