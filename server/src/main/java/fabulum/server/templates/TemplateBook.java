package fabulum.server.templates;

import static java.util.stream.Collectors.groupingBy;

import fabulum.core.access.Sight;
import fabulum.core.template.TemplateFinder;
import fabulum.core.template.TemplateReader;
import fabulum.core.template.TemplateReader.Bad;
import fabulum.core.template.TemplateReader.Good;
import fabulum.core.template.TemplateText;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Conversation;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.lines.Sights;
import fabulum.server.platform.BriefMemory;
import fabulum.server.platform.CachedSetUp;
import fabulum.server.platform.Problem;
import fabulum.server.templates.store.ScopeRow;
import fabulum.server.templates.store.TemplateMapper;
import fabulum.server.templates.store.TemplateRow;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** All templates as they are looked through and filled, kept in memory. */
@Component
class TemplateBook implements CachedSetUp {
  /** What a placeholder names may be gone by now; then it is a gap, and the rest still reads. */
  static final TemplateReader LENIENT = new TemplateReader((whose, name) -> Optional.of(name));

  private final TemplateMapper rows;
  private final Lines lines;
  private final Sights sights;
  private final BriefMemory<Map<Long, Leaf>> all;
  private volatile Map<Long, Leaf> before = Map.of();

  TemplateBook(TemplateMapper rows, Lines lines, Sights sights) {
    this.rows = rows;
    this.lines = lines;
    this.sights = sights;
    this.all = new BriefMemory<>(this::read);
  }

  /**
   * A template ready for use.
   *
   * @param scope where it is offered, without any such place everywhere; and what goes with it
   */
  record Leaf(
      TemplateRow row, List<ScopeRow> scope, TemplateText text, TemplateFinder.Entry entry) {
    Set<Long> targets(ScopeRow.Kind kind) {
      return scope.stream()
          .filter(one -> one.kind() == kind)
          .map(ScopeRow::targetId)
          .collect(Collectors.toUnmodifiableSet());
    }

    private boolean has(ScopeRow.Kind kind, long target) {
      return scope.stream().anyMatch(one -> one.kind() == kind && one.targetId() == target);
    }

    /** Whether it is for a line. */
    boolean suits(LineView line) {
      return scope.stream().allMatch(one -> one.kind() == ScopeRow.Kind.FILE)
          || has(ScopeRow.Kind.LINE, line.id())
          || has(ScopeRow.Kind.SITE, line.siteId())
          || has(ScopeRow.Kind.TEAM, line.teamId());
    }

    private boolean isOfTeam(Set<Long> teams) {
      return teams.stream().anyMatch(team -> has(ScopeRow.Kind.TEAM, team));
    }
  }

  private Map<Long, Leaf> read() {
    Map<Long, List<ScopeRow>> scopes =
        rows.listScopes().stream().collect(groupingBy(ScopeRow::templateId));
    Map<Long, Leaf> had = before;
    Map<Long, Leaf> now = new java.util.LinkedHashMap<>();
    for (TemplateRow row : rows.list()) {
      List<ScopeRow> scope = scopes.getOrDefault(row.id(), List.of());
      Leaf known = had.get(row.id());
      boolean same = known != null && known.row().equals(row) && known.scope().equals(scope);
      now.put(row.id(), same ? known : leaf(row, scope));
    }
    before = now;
    return now;
  }

  private static Leaf leaf(TemplateRow row, List<ScopeRow> scope) {
    TemplateReader.Read read = LENIENT.read(row.words());
    TemplateText text = read instanceof Good good ? good.text() : new TemplateText(List.of());
    TemplateFinder.Entry entry =
        TemplateFinder.Entry.of(
            row.id(), row.shortName(), row.title(), row.folder() + " " + row.words());
    return new Leaf(row, scope, text, entry);
  }

  /** All of them, also retired ones, by folder and title. */
  List<Leaf> list() {
    return List.copyOf(all.get().values());
  }

  /** Those that someone sees. */
  List<Leaf> list(StaffId asking) {
    Function<Leaf, Boolean> sees = sees(asking);
    return all.get().values().stream().filter(sees::apply).toList();
  }

  private Function<Leaf, Boolean> sees(StaffId asking) {
    Sight sight = sights.of(asking);
    List<LineView> seen = lines.list().stream().filter(line -> sight.seesLine(line.id())).toList();
    return leaf ->
        leaf.scope().isEmpty()
            || sight.lines().isEmpty()
            || leaf.isOfTeam(sight.teams())
            || seen.stream().anyMatch(leaf::suits);
  }

  /** Those offered in a conversation to someone who sees it. */
  List<Leaf> offered(Conversation row, StaffId asking) {
    LineView line = lines.get(new LineId(row.lineId()));
    Long team = row.teamId();
    return list(asking).stream()
        .filter(leaf -> !leaf.row().retired())
        .filter(leaf -> leaf.suits(line) || (team != null && leaf.isOfTeam(Set.of(team))))
        .toList();
  }

  /** One that someone sees, as the database has it now. */
  Leaf present(TemplateId id, StaffId asking) {
    forget();
    return find(id, asking).orElseThrow(() -> Problem.notFound("template"));
  }

  Optional<Leaf> find(TemplateId id, StaffId asking) {
    return Optional.ofNullable(all.get().get(id.value())).filter(sees(asking)::apply);
  }

  @Override
  public void forget() {
    all.forget();
  }

  /** What is wrong with stored words, by what placeholders there are now. */
  static List<TemplateReader.Fault> faults(TemplateReader reader, String words) {
    return reader.read(words) instanceof Bad bad ? bad.faults() : List.of();
  }
}
