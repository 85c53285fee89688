package fabulum.demo;

import fabulum.server.access.StaffId;
import fabulum.server.templates.Link;
import fabulum.server.templates.Links;
import fabulum.server.templates.TemplateFiles;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import org.springframework.jdbc.core.JdbcTemplate;

/** The templates of the boatyard, and which of its answers were made from them. */
final class DemoTemplates {
  private static final StaffId MAREN = new StaffId(1);
  private static final String FILE = "/quillhaven/templates.csv";

  /** How the answers made from a template begin or go on, by its short name. */
  private static final Map<String, String> MADE = new LinkedHashMap<>();

  static {
    MADE.put("lift", "% 9:30 or % after lunch%");
    MADE.put("booked", "Booked: %lift-out%");
    MADE.put("launch", "%We could launch her%");
    MADE.put("survey", "%both at 8:00%");
    MADE.put("mast", "%Mast week is from%");
    MADE.put("fuel", "18:00, and we start again%");
    MADE.put("pumpout", "It is, since yesterday noon%");
    MADE.put("visitor", "Welcome! Yes, %");
    MADE.put("gate", "No trouble, %rather than text it%");
    MADE.put("power", "Thank you, we are on it%");
    MADE.put("check", "We are walking over%");
    MADE.put("storm", "Storm warning for tonight%");
    MADE.put("lines", "Done. Doubled bow%");
    MADE.put("winter", "%Indoors, heated%");
    MADE.put("invoice", "%you are right that winterizing is fixed%");
    MADE.put("paid", "It came in this morning%");
    MADE.put("insurer", "Of course. To you or to them%");
    MADE.put("job", "%We are a little behind%");
    MADE.put("engine", "That sounds like the impeller%");
    MADE.put("yourname", "Thank you for telling us. Just so that we know%");
  }

  private final Links links;
  private final TemplateFiles files;
  private final JdbcTemplate tables;

  DemoTemplates(Links links, TemplateFiles files, JdbcTemplate tables) {
    this.links = links;
    this.files = files;
    this.tables = tables;
  }

  /** Puts them in. */
  void write() {
    links.save(new Link(0, "web site", "https://quillhaven.example"), MAREN);
    links.save(new Link(0, "booking", "https://quillhaven.example/book"), MAREN);
    TemplateFiles.Taken taken = files.take(file(), MAREN);
    if (taken.left() > 0) {
      throw new IllegalStateException("Templates of the demonstration: " + taken.problems());
    }
    MADE.forEach((shortName, words) ->
        tables.update(
            "insert into template_use (entry_id, template_id, staff_id, used_at)"
                + " select e.id, t.id, e.speaker_id, e.at from entry e join template t on t.short_name = ?"
                + " where e.kind = 'OUT' and e.speaker_id is not null and e.words like ?"
                + " and not exists (select 1 from template_use u where u.entry_id = e.id)",
            shortName,
            words));
    tables.update(
        "insert into template_favourite (staff_id, template_id)"
            + " select 1, id from template where short_name in ('lift', 'hours')");
  }

  private static byte[] file() {
    try (InputStream in = Objects.requireNonNull(DemoTemplates.class.getResourceAsStream(FILE))) {
      return in.readAllBytes();
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
  }
}
