package fabulum.demo;

import fabulum.server.access.StaffId;
import fabulum.server.attachments.KeptFiles;
import fabulum.server.attachments.Papers;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.Consumer;
import javax.imageio.ImageIO;
import org.springframework.jdbc.core.JdbcTemplate;

/** What stands on the shelf of the boatyard, and pictures that customers sent; painted here. */
final class DemoFiles {
  private static final StaffId MAREN = new StaffId(1);
  private static final long MOST = 5_000_000;
  private static final int WIDTH = 1_600;
  private static final int HEIGHT = 1_200;
  private static final Color WATER = new Color(0x4F7480);
  private static final Color PLANKS = new Color(0xA5845A);
  private static final Color INK = new Color(0x20262B);

  private final KeptFiles kept;
  private final Papers papers;
  private final JdbcTemplate tables;

  DemoFiles(KeptFiles kept, Papers papers, JdbcTemplate tables) {
    this.kept = kept;
    this.papers = papers;
    this.tables = tables;
  }

  /** Puts them in. */
  void write() {
    kept.put(null, "Map of North Dock.png", painted(DemoFiles::map), MAREN);
    kept.put(null, "Rules of the dock.pdf", page("Rules of the dock: walk, do not run."), MAREN);
    kept.put(null, "Rates for visitors.pdf", page("Visitors: by the foot and night."), MAREN);
    estimates();
    arrived("There's a sheen of diesel", "pier A.jpg", painted(DemoFiles::sheen));
    arrived("Just so you know a cleat", "loose cleat.jpg", painted(DemoFiles::cleat));
  }

  /** An estimate with each of some jobs of customers who are talked with just now. */
  private void estimates() {
    tables
        .queryForList(
            "select min(j.id) from job j join conversation c on c.customer_id = j.customer_id"
                + " where c.box <> 'DONE' group by c.customer_id order by 1 fetch first 3 rows only",
            Long.class)
        .forEach(job -> {
          Long customer =
              tables.queryForObject("select customer_id from job where id = ?", Long.class, job);
          String number =
              tables.queryForObject("select number from job where id = ?", String.class, job);
          ByteArrayInputStream estimate = page("Estimate for job " + number + ".");
          long file = kept.put(customer, "Estimate " + number + ".pdf", estimate, MAREN).id();
          kept.putWithJob(file, job, MAREN);
        });
  }

  /** A picture with the last text of the customer, where that fits the season. */
  private void arrived(String beginning, String name, ByteArrayInputStream picture) {
    List<Long> texts =
        tables.queryForList(
            "select max(e.id) from conversation c join entry e on e.conversation_id = c.id"
                + " where c.box = 'OUR_TURN' and c.last_words like ? and e.kind = 'IN' group by c.id",
            Long.class,
            beginning + "%");
    if (texts.isEmpty()) {
      return;
    }
    Long conversation =
        tables.queryForObject(
            "select conversation_id from entry where id = ?", Long.class, texts.get(0));
    long id = papers.put(conversation == null ? 0 : conversation, MAREN, name, picture, MOST).id();
    tables.update(
        "update attachment set entry_id = ?, staff_id = null where id = ?", texts.get(0), id);
  }

  private static ByteArrayInputStream painted(Consumer<Graphics2D> what) {
    BufferedImage picture = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = picture.createGraphics();
    pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    what.accept(pen);
    pen.dispose();
    try {
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      ImageIO.write(picture, "jpeg", out);
      return new ByteArrayInputStream(out.toByteArray());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void water(Graphics2D pen) {
    pen.setPaint(new GradientPaint(0, 0, WATER.brighter(), 0, HEIGHT, WATER.darker()));
    pen.fillRect(0, 0, WIDTH, HEIGHT);
    pen.setColor(new Color(255, 255, 255, 40));
    pen.setStroke(new BasicStroke(6));
    for (int y = 60; y < HEIGHT; y += 90) {
      pen.drawArc(y * 7 % 900, y, 520, 40, 10, 160);
    }
  }

  private static void pier(Graphics2D pen, int from, int width) {
    pen.setColor(PLANKS);
    pen.fillRect(from, 0, width, HEIGHT);
    pen.setColor(PLANKS.darker());
    pen.setStroke(new BasicStroke(5));
    for (int y = 0; y < HEIGHT; y += 70) {
      pen.drawLine(from, y, from + width, y);
    }
  }

  private static void sheen(Graphics2D pen) {
    water(pen);
    pier(pen, 0, 420);
    Color[] film = {
      new Color(0x7A5C8E), new Color(0x4E8C86), new Color(0xB58A4A), new Color(0x8C4A5C)
    };
    for (int i = 0; i < film.length; i++) {
      Color each = film[i];
      pen.setColor(new Color(each.getRed(), each.getGreen(), each.getBlue(), 110));
      pen.fill(new Ellipse2D.Double(470 + 60 * i, 360 + 70 * i, 820 - 130 * i, 480 - 90 * i));
    }
  }

  private static void cleat(Graphics2D pen) {
    water(pen);
    pier(pen, 300, 1_000);
    pen.setColor(new Color(0x6D7175));
    pen.rotate(0.35, 800, 600);
    pen.fillRoundRect(520, 560, 560, 70, 60, 60);
    pen.fillRect(690, 600, 60, 110);
    pen.fillRect(850, 600, 60, 110);
    pen.setColor(INK);
    pen.fillOval(655, 705, 34, 34);
    pen.fillOval(925, 705, 34, 34);
  }

  private static void map(Graphics2D pen) {
    water(pen);
    pen.setColor(new Color(0xE9E0C9));
    Path2D shore = new Path2D.Double();
    shore.moveTo(0, 0);
    shore.lineTo(WIDTH, 0);
    shore.curveTo(1_300, 260, 900, 180, 520, 330);
    shore.curveTo(320, 410, 200, 300, 0, 420);
    shore.closePath();
    pen.fill(shore);
    pen.setColor(PLANKS);
    pen.setStroke(new BasicStroke(26));
    for (int x = 420; x <= 1_260; x += 210) {
      pen.drawLine(x, 320, x, 960);
      for (int y = 460; y <= 940; y += 120) {
        pen.drawLine(x - 70, y, x + 70, y);
      }
    }
  }

  /** A PDF of one page with a line on it (ISO 32000-1). */
  private static ByteArrayInputStream page(String words) {
    String content = "BT /F1 18 Tf 72 720 Td (" + words + ") Tj ET";
    String file =
        "%PDF-1.4\n"
            + "1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj\n"
            + "2 0 obj<</Type/Pages/Kids[3 0 R]/Count 1>>endobj\n"
            + "3 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 612 792]/Contents 4 0 R"
            + "/Resources<</Font<</F1 5 0 R>>>>>>endobj\n"
            + "4 0 obj<</Length "
            + content.length()
            + ">>stream\n"
            + content
            + "\nendstream endobj\n"
            + "5 0 obj<</Type/Font/Subtype/Type1/BaseFont/Helvetica>>endobj\n"
            + "trailer<</Root 1 0 R>>\n%%EOF\n";
    return new ByteArrayInputStream(file.getBytes(StandardCharsets.US_ASCII));
  }
}
