package fabulum.server.templates;

import fabulum.core.imports.Cells;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.lines.SiteView;
import fabulum.server.people.TeamView;
import fabulum.server.people.Teams;
import fabulum.server.platform.Problem.FieldProblem;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** How a template is laid out in a row of a file; see {@code docs/templates.md}. */
@Component
class TemplateColumns {
  private static final String TITLE = "title";
  private static final String WORDS = "words";
  private static final String LINES = "lines";
  private static final String SITES = "sites";
  private static final String TEAMS = "teams";
  private static final String GUARDED = "only leads change it";
  private static final String RETIRED = "retired";
  private static final String BETWEEN = "; ";

  /** The columns of a file. */
  static final List<String> TITLES =
      List.of(
          TITLE, "short name", WORDS, "folder", "language", LINES, SITES, TEAMS, GUARDED, RETIRED);

  private final Lines lines;
  private final Teams teams;

  TemplateColumns(Lines lines, Teams teams) {
    this.lines = lines;
    this.teams = teams;
  }

  private Map<Long, String> lineNames() {
    return lines.list().stream().collect(Collectors.toMap(LineView::id, LineView::name));
  }

  private Map<Long, String> siteNames() {
    return lines.listSites().stream().collect(Collectors.toMap(SiteView::id, SiteView::name));
  }

  private Map<Long, String> teamNames() {
    return teams.list().stream().collect(Collectors.toMap(TeamView::id, TeamView::name));
  }

  /** A template as a row. */
  List<String> write(TemplateView one) {
    return List.of(
        one.title(),
        one.shortName(),
        one.words(),
        one.folder(),
        one.language(),
        names(one.lines(), lineNames()),
        names(one.sites(), siteNames()),
        names(one.teams(), teamNames()),
        one.guarded() ? "yes" : "no",
        one.retired() ? "yes" : "no");
  }

  private static String names(Set<Long> ids, Map<Long, String> names) {
    return ids.stream()
        .map(id -> names.getOrDefault(id, ""))
        .sorted()
        .collect(Collectors.joining(BETWEEN));
  }

  /** Where the columns of a file are, by its titles. */
  Layout layout(List<String> titles) {
    Map<String, Integer> places = new HashMap<>();
    for (int i = 0; i < titles.size(); i++) {
      String title = plain(titles.get(i));
      TITLES.stream()
          .filter(one -> plain(one).equals(title))
          .findFirst()
          .ifPresent(known(places, i));
    }
    if (!places.containsKey(TITLE) || !places.containsKey(WORDS)) {
      throw TemplateFiles.bad(
          "The first row must name the columns; “title” and “words” are needed. Nothing was imported.");
    }
    return new Layout(places, byName(lineNames()), byName(siteNames()), byName(teamNames()));
  }

  private static java.util.function.Consumer<String> known(Map<String, Integer> places, int at) {
    return name -> places.putIfAbsent(name, at);
  }

  private static String plain(String title) {
    return title.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}]", "");
  }

  private static Map<String, Long> byName(Map<Long, String> names) {
    return names.entrySet().stream()
        .collect(
            Collectors.toMap(
                one -> one.getValue().toLowerCase(Locale.ROOT), Map.Entry::getKey, (a, b) -> a));
  }

  /** The columns of one file. */
  record Layout(
      Map<String, Integer> places,
      Map<String, Long> lines,
      Map<String, Long> sites,
      Map<String, Long> teams) {

    /** Reads a row; adds what cannot be read to {@code bad}. */
    TemplateDraft read(List<String> cells, List<FieldProblem> bad) {
      Function<String, String> cell = name -> cell(cells, name);
      return new TemplateDraft(
          cell.apply(TITLE),
          cell.apply("short name"),
          cell.apply(WORDS),
          cell.apply("folder"),
          cell.apply("language"),
          is(cell.apply(GUARDED), GUARDED, bad),
          is(cell.apply(RETIRED), RETIRED, bad),
          ids(cell.apply(LINES), LINES, lines, bad),
          ids(cell.apply(SITES), SITES, sites, bad),
          ids(cell.apply(TEAMS), TEAMS, teams, bad),
          Set.of());
    }

    private String cell(List<String> cells, String name) {
      Integer at = places.get(name);
      return at == null || at >= cells.size() ? "" : Cells.bare(cells.get(at));
    }

    private static boolean is(String words, String field, List<FieldProblem> bad) {
      String plain = words.strip().toLowerCase(Locale.ROOT);
      boolean yes = List.of("yes", "true", "1").contains(plain);
      if (!yes && !List.of("", "no", "false", "0").contains(plain)) {
        bad.add(new FieldProblem(field, "Write yes or no, not “" + words + "”."));
      }
      return yes;
    }

    private static Set<Long> ids(
        String words, String field, Map<String, Long> known, List<FieldProblem> bad) {
      Set<Long> ids = new LinkedHashSet<>();
      List<String> unknown = new ArrayList<>();
      Arrays.stream(words.split(";"))
          .map(String::strip)
          .filter(name -> !name.isEmpty())
          .forEach(name -> {
            Long id = known.get(name.toLowerCase(Locale.ROOT));
            if (id == null) {
              unknown.add("“" + name + "”");
            } else {
              ids.add(id);
            }
          });
      if (!unknown.isEmpty()) {
        bad.add(
            new FieldProblem(
                field, "There is nothing named " + String.join(", ", unknown) + " here."));
      }
      return ids;
    }
  }
}
