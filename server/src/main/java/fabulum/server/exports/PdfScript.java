package fabulum.server.exports;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDFormContentStream;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.util.Matrix;
import org.jspecify.annotations.Nullable;

/**
 * A script to read and print: the time margin, the speaker margin, the words; each page numbered.
 * Sizes are in points, 1/72 inch. Characters the font lacks are written as their names in brackets.
 */
final class PdfScript implements ScriptWriter {
  private static final float MARGIN = 48;
  private static final float TIME_WIDTH = 42;
  private static final float SPEAKER_WIDTH = 108;
  private static final float SIZE = 10;
  private static final float SMALL = 8;
  private static final float TITLE = 15;
  private static final float LEADING = 13.5f;
  private static final float GAP = 5;
  private static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEEE d MMMM yyyy", Locale.ENGLISH);

  private final OutputStream out;
  private final PDDocument document = new PDDocument(StreamsOnDisk::new);
  private final PDFont font;
  private final Wrapping wrapping;
  private @Nullable PDPageContentStream page;
  private final PDFormXObject ofAll = new PDFormXObject(document);

  /** What pages use: all of them the same. */
  private final PDResources shared = new PDResources();

  private int pages;
  private float y;
  private @Nullable LocalDate day;
  private String place = "";

  /**
   * Begins.
   *
   * @param title what it is of
   * @param made by whom and when it was made
   */
  PdfScript(OutputStream out, String title, String made) throws IOException {
    this.out = out;
    try (InputStream face =
        Objects.requireNonNull(
            PDDocument.class.getResourceAsStream(
                "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf"))) {
      // Without ligatures: they took most of the time, and a reader would not find their words.
      TrueTypeFont plain = new TTFParser().parse(new RandomAccessReadBuffer(face));
      plain.setEnableGsub(false);
      this.font = PDType0Font.load(document, plain, true);
    }
    this.wrapping = new Wrapping(font);
    document.getDocumentInformation().setTitle(wrapping.known(title));
    document.getDocumentInformation().setProducer("Fabulum");
    ofAll.setResources(new PDResources());
    ofAll.setBBox(new PDRectangle(0, -SMALL, TIME_WIDTH + SPEAKER_WIDTH, 2 * SMALL));
    turn();
    paragraph(title, MARGIN, wordsWidth() + TIME_WIDTH + SPEAKER_WIDTH, TITLE);
    paragraph(made, MARGIN, wordsWidth() + TIME_WIDTH + SPEAKER_WIDTH, SMALL);
    y -= GAP;
  }

  private static float wordsWidth() {
    return PDRectangle.A4.getWidth() - 2 * MARGIN - TIME_WIDTH - SPEAKER_WIDTH;
  }

  private PDPageContentStream turn() throws IOException {
    if (page != null) {
      page.close();
    }
    PDPage next = new PDPage(PDRectangle.A4);
    next.setResources(shared);
    document.addPage(next);
    PDPageContentStream stream = new PDPageContentStream(document, next);
    page = stream;
    pages++;
    foot(stream);
    y = PDRectangle.A4.getHeight() - MARGIN;
    return stream;
  }

  /** How many pages there will be is known at the end: every page shows the same piece for it. */
  private void foot(PDPageContentStream stream) throws IOException {
    String number = "Page " + pages;
    stream.beginText();
    stream.setFont(font, SMALL);
    stream.newLineAtOffset(MARGIN, MARGIN - LEADING);
    stream.showText(number);
    stream.endText();
    stream.saveGraphicsState();
    stream.transform(
        Matrix.getTranslateInstance(MARGIN + wrapping.width(number, SMALL), MARGIN - LEADING));
    stream.drawForm(ofAll);
    stream.restoreGraphicsState();
  }

  @Override
  public void write(List<ScriptLine> lines) throws IOException {
    for (ScriptLine line : lines) {
      write(line);
    }
  }

  private void write(ScriptLine line) throws IOException {
    LocalDate said = line.time().toLocalDate();
    String where =
        line.line()
            + " · "
            + (line.customer().isEmpty() ? line.number() : line.customer())
            + " · "
            + zone(line.time().getOffset());
    if (!said.equals(day) || !where.equals(place)) {
      room(3 * LEADING);
      y -= GAP;
      paragraph(
          said.format(DAY) + " · " + where,
          MARGIN,
          wordsWidth() + TIME_WIDTH + SPEAKER_WIDTH,
          SMALL + 1);
      rule();
      day = said;
      place = where;
    }
    List<String> words = wrapping.lines(words(line), wordsWidth(), SIZE);
    room(Math.min(words.size(), 3) * LEADING);
    text(line.time().format(TIME), MARGIN, SMALL);
    text(wrapping.cut(speaker(line), SPEAKER_WIDTH - GAP, SMALL), MARGIN + TIME_WIDTH, SMALL);
    for (String one : words) {
      room(LEADING);
      text(one, MARGIN + TIME_WIDTH + SPEAKER_WIDTH, SIZE);
      y -= LEADING;
    }
    String below = below(line);
    if (!below.isEmpty()) {
      paragraph(below, MARGIN + TIME_WIDTH + SPEAKER_WIDTH, wordsWidth(), SMALL);
    }
    y -= GAP / 2;
  }

  private static String speaker(ScriptLine line) {
    return switch (line.direction()) {
      case "received" -> line.customer().isEmpty() ? line.number() : line.customer();
      case "note" -> line.by() + ", note";
      default -> line.by();
    };
  }

  private static String words(ScriptLine line) {
    if (line.event() == null) {
      return line.words();
    }
    String said = line.words().isEmpty() ? "" : ": " + line.words();
    return "(" + line.event().toLowerCase(Locale.ENGLISH).replace('_', ' ') + said + ")";
  }

  private static String below(ScriptLine line) {
    List<String> said = new ArrayList<>();
    if (line.state() != null) {
      said.add(line.state().name().toLowerCase(Locale.ENGLISH).replace('_', ' '));
    }
    if (line.reason() != null) {
      said.add(line.reason());
    }
    line.attachments().forEach(file -> said.add("attachment: " + file.name()));
    return String.join(" · ", said);
  }

  private void paragraph(String words, float x, float width, float size) throws IOException {
    for (String one : wrapping.lines(words, width, size)) {
      room(size + 4);
      text(one, x, size);
      y -= size + 4;
    }
  }

  private void room(float needed) throws IOException {
    if (y - needed < MARGIN + LEADING) {
      turn();
    }
  }

  private void text(String words, float x, float size) throws IOException {
    PDPageContentStream stream = page == null ? turn() : page;
    stream.beginText();
    stream.setFont(font, size);
    stream.newLineAtOffset(x, y - size);
    stream.showText(words);
    stream.endText();
  }

  private void rule() throws IOException {
    PDPageContentStream stream = page == null ? turn() : page;
    stream.setLineWidth(0.5f);
    stream.moveTo(MARGIN, y);
    stream.lineTo(PDRectangle.A4.getWidth() - MARGIN, y);
    stream.stroke();
    y -= GAP;
  }

  @Override
  public void end() throws IOException {
    if (page != null) {
      page.close();
      page = null;
    }
    try (PDFormContentStream all = new PDFormContentStream(ofAll)) {
      all.beginText();
      all.setFont(font, SMALL);
      all.showText(" of " + pages);
      all.endText();
    }
    document.save(out);
  }

  @Override
  public void close() throws IOException {
    document.close();
    out.close();
  }

  private static String zone(ZoneOffset offset) {
    return offset.equals(ZoneOffset.UTC) ? "UTC" : "UTC" + offset;
  }

  /** When and by whom it was made, as the head of the file says it. */
  static String made(String by, Instant at) {
    return "Made by "
        + by
        + ", "
        + at.atOffset(ZoneOffset.UTC)
            .format(DateTimeFormatter.ofPattern("d MMMM yyyy HH:mm", Locale.ENGLISH))
        + " UTC. Times are those of each line; its distance from UTC stands beside the day.";
  }
}
