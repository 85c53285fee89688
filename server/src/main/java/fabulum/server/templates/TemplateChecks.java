package fabulum.server.templates;

import fabulum.core.access.Act;
import fabulum.core.access.Sight;
import fabulum.core.template.ShortName;
import fabulum.core.template.TemplateReader;
import fabulum.core.text.Language;
import fabulum.core.text.OneLine;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.Attachments;
import fabulum.server.attachments.KeptFile;
import fabulum.server.attachments.KeptFiles;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.lines.Sights;
import fabulum.server.people.TeamView;
import fabulum.server.people.Teams;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.templates.TemplateBook.Leaf;
import fabulum.server.templates.store.TemplateRow;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What is wrong with a template as it is wanted; all of it at once. */
@Component
class TemplateChecks {
  static final int LONGEST_WORDS = 1_600;
  private static final int LONGEST_TITLE = 80;
  private static final int LONGEST_FOLDER = 60;
  private static final int MOST_FAULTS = 20;

  private final TemplateBook book;
  private final Placeholders placeholders;
  private final Permits permits;
  private final Sights sights;
  private final Lines lines;
  private final Teams teams;
  private final KeptFiles kept;

  TemplateChecks(
      TemplateBook book,
      Placeholders placeholders,
      Permits permits,
      Sights sights,
      Lines lines,
      Teams teams,
      KeptFiles kept) {
    this.kept = kept;
    this.book = book;
    this.placeholders = placeholders;
    this.permits = permits;
    this.sights = sights;
    this.lines = lines;
    this.teams = teams;
  }

  /** Checks for one person, against all templates there are. */
  final class Checking {
    private final TemplateReader reader = placeholders.reader();
    private final Map<String, TemplateRow> shortNames = new HashMap<>();
    private final Map<String, Long> titles = new HashMap<>();
    private final Set<Long> seen = new HashSet<>();
    private final List<LineView> myLines;
    private final Set<Long> myTeams;
    private final boolean leads;

    private Checking(StaffId by) {
      this.leads = permits.of(by).may(Act.LEAD);
      Sight sight = sights.of(by);
      this.myLines = lines.list().stream().filter(line -> sight.seesLine(line.id())).toList();
      this.myTeams =
          leads
              ? teams.list().stream().map(TeamView::id).collect(Collectors.toSet())
              : teams.of(by);
      book.list().forEach(leaf -> take(leaf.row()));
      book.list(by).forEach(leaf -> seen.add(leaf.row().id()));
    }

    /** Takes in a template that the person has made or changed meanwhile. */
    void add(TemplateRow row) {
      take(row);
      seen.add(row.id());
    }

    private void take(TemplateRow row) {
      if (!row.retired()) {
        titles.put(title(row.folder(), row.title()), row.id());
        if (!row.shortName().isEmpty()) {
          shortNames.put(row.shortName(), row);
        }
      }
    }

    Optional<Long> titled(String folder, String title) {
      return Optional.ofNullable(titles.get(title(folder, title)));
    }

    Optional<Long> named(String shortName) {
      return Optional.ofNullable(shortNames.get(shortName)).map(TemplateRow::id);
    }

    /**
     * What is wrong.
     *
     * @param own the id of the template that is changed; 0 for a new one
     */
    List<FieldProblem> problems(TemplateDraft wanted, long own) {
      List<FieldProblem> bad = new ArrayList<>();
      checkTitle(wanted, own, bad);
      checkShortName(wanted, own, bad);
      checkWords(wanted, bad);
      checkPlace(wanted, bad);
      return bad;
    }

    private void checkTitle(TemplateDraft wanted, long own, List<FieldProblem> bad) {
      String title = wanted.title();
      if (title.isBlank() || title.length() > LONGEST_TITLE) {
        bad.add(new FieldProblem("title", "A title has 1 to 80 characters."));
      }
      OneLine.objection(title).ifPresent(why -> bad.add(new FieldProblem("title", why)));
      if (wanted.folder().length() > LONGEST_FOLDER || !OneLine.is(wanted.folder())) {
        bad.add(new FieldProblem("folder", "A folder has at most 60 characters, on one line."));
      }
      titled(wanted.folder(), title)
          .filter(other -> other != own && !wanted.retired())
          .ifPresent(other ->
              bad.add(
                  new FieldProblem("title", "There is a template with this title in the folder.")));
    }

    private void checkShortName(TemplateDraft wanted, long own, List<FieldProblem> bad) {
      String name = wanted.shortName();
      if (name.isEmpty()) {
        return;
      }
      ShortName.problem(name).ifPresent(why -> bad.add(new FieldProblem("shortName", why)));
      TemplateRow other = shortNames.get(name);
      if (other != null && other.id() != own && !wanted.retired()) {
        String whose = seen.contains(other.id()) ? "“" + other.title() + "”" : "another team";
        bad.add(new FieldProblem("shortName", "“" + name + "” is taken by " + whose + "."));
      }
      if (wanted.words().strip().toLowerCase(Locale.ROOT).endsWith(name)) {
        bad.add(
            new FieldProblem(
                "shortName",
                "The words end with “" + name + "”, so Tab would put them in once more."));
      }
    }

    private void checkWords(TemplateDraft wanted, List<FieldProblem> bad) {
      String words = wanted.words();
      if (words.length() > LONGEST_WORDS) {
        bad.add(
            new FieldProblem(
                "words",
                "A template has at most 1600 characters; this one has " + words.length() + "."));
        return;
      }
      TemplateBook.faults(reader, words).stream()
          .limit(MOST_FAULTS)
          .forEach(fault ->
              bad.add(
                  new FieldProblem(
                      "words",
                      words.isBlank()
                          ? fault.why()
                          : "Character " + (fault.at() + 1) + ": " + fault.why())));
    }

    private void checkPlace(TemplateDraft wanted, List<FieldProblem> bad) {
      String language = wanted.language();
      if (!language.isEmpty() && Language.find(language).isEmpty()) {
        bad.add(
            new FieldProblem(
                "language",
                "“"
                    + language
                    + "” is no language that Fabulum knows. It knows "
                    + Language.codes()
                    + "."));
      }
      boolean all =
          wanted.lines().stream().allMatch(this::isMyLine)
              && wanted.sites().stream().allMatch(this::isMySite)
              && myTeams.containsAll(wanted.teams());
      if (!all) {
        bad.add(new FieldProblem("lines", "Choose only lines, sites and teams that you see."));
      }
      if (!wanted.files().isEmpty() && !shelf().containsAll(wanted.files())) {
        bad.add(new FieldProblem("files", "Choose files of the shelf."));
      }
      if (wanted.files().size() > Attachments.MOST) {
        bad.add(
            new FieldProblem("files", "At most " + Attachments.MOST + " files go with a text."));
      }
      if (wanted.guarded() && !leads) {
        bad.add(
            new FieldProblem("guarded", "Only a lead can decide that only leads may change it."));
      }
    }

    private Set<Long> shelf() {
      return kept.listShelf().stream().map(KeptFile::id).collect(Collectors.toSet());
    }

    private boolean isMyLine(long id) {
      return myLines.stream().anyMatch(line -> line.id() == id);
    }

    private boolean isMySite(long id) {
      return myLines.stream().anyMatch(line -> line.siteId() == id);
    }
  }

  private static String title(String folder, String title) {
    return folder.toLowerCase(Locale.ROOT) + "\n" + title.toLowerCase(Locale.ROOT);
  }

  /** Begins checking for someone. */
  Checking by(StaffId by) {
    return new Checking(by);
  }

  /** Whether someone may change a template. */
  boolean mayChange(Leaf leaf, StaffId asking) {
    return permits.of(asking).may(Act.CHANGE_TEMPLATES)
        && (!leaf.row().guarded() || permits.of(asking).may(Act.LEAD));
  }

  /** Refuses, and says who can, when someone may not change a template. */
  void requireChange(Leaf leaf, StaffId by) {
    permits.require(by, Act.CHANGE_TEMPLATES);
    if (leaf.row().guarded()) {
      permits.require(by, Act.LEAD);
    }
  }
}
