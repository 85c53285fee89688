package fabulum.server.templates;

import fabulum.core.access.Act;
import fabulum.core.template.ShortName;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.templates.TemplateBook.Leaf;
import fabulum.server.templates.store.ScopeRow;
import fabulum.server.templates.store.TemplateMapper;
import fabulum.server.templates.store.TemplateRow;
import java.time.Clock;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The team's texts. None is ever deleted, so that history can always be read. */
@Service
public class Templates {
  private final TemplateMapper rows;
  private final TemplateBook book;
  private final TemplateChecks checks;
  private final Permits permits;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Templates(
      TemplateMapper rows,
      TemplateBook book,
      TemplateChecks checks,
      Permits permits,
      ApplicationEventPublisher events,
      Clock clock) {
    this.rows = rows;
    this.book = book;
    this.checks = checks;
    this.permits = permits;
    this.events = events;
    this.clock = clock;
  }

  /** All that someone sees, also retired ones, by folder and title. */
  public List<TemplateView> list(StaffId asking) {
    Set<Long> favourites = Set.copyOf(rows.listFavourites(asking.value()));
    return book.list(asking).stream()
        .map(leaf ->
            view(leaf, favourites.contains(leaf.row().id()), checks.mayChange(leaf, asking)))
        .toList();
  }

  /** One of them. */
  public TemplateView get(TemplateId id, StaffId asking) {
    Leaf leaf = book.present(id, asking);
    boolean favourite = rows.listFavourites(asking.value()).contains(id.value());
    return view(leaf, favourite, checks.mayChange(leaf, asking));
  }

  private static TemplateView view(Leaf leaf, boolean favourite, boolean mayChange) {
    TemplateRow row = leaf.row();
    return new TemplateView(
        row.id(),
        row.title(),
        row.shortName(),
        row.words(),
        row.folder(),
        row.language(),
        row.guarded(),
        row.retired(),
        row.version(),
        leaf.targets(ScopeRow.Kind.LINE),
        leaf.targets(ScopeRow.Kind.SITE),
        leaf.targets(ScopeRow.Kind.TEAM),
        leaf.targets(ScopeRow.Kind.FILE),
        favourite,
        mayChange);
  }

  /** Writes a new one. */
  @Transactional
  public TemplateId add(TemplateDraft draft, StaffId by) {
    permits.require(by, Act.CHANGE_TEMPLATES);
    TemplateDraft wanted = plain(draft);
    refuse(checks.by(by).problems(wanted, 0));
    TemplateId id = insert(wanted, by);
    changed();
    return id;
  }

  TemplateId insert(TemplateDraft wanted, StaffId by) {
    long id = once(() -> rows.insert(row(0, wanted, 0), shortKey(wanted)));
    setScope(id, wanted);
    rows.keepVersion(id, by.value(), clock.instant());
    return new TemplateId(id);
  }

  /**
   * Changes, retires or brings back one.
   *
   * @param seen the version it was changed from
   */
  @Transactional
  public void change(TemplateId id, TemplateDraft draft, long seen, StaffId by) {
    Leaf before = book.present(id, by);
    checks.requireChange(before, by);
    TemplateDraft wanted = plain(draft);
    refuse(checks.by(by).problems(wanted, id.value()));
    update(id, wanted, seen, by);
    changed();
  }

  void update(TemplateId id, TemplateDraft wanted, long seen, StaffId by) {
    if (once(() -> rows.update(row(id.value(), wanted, seen), shortKey(wanted), seen)) == 0) {
      throw Problem.conflict(
          Problem.Kind.CHANGED_MEANWHILE,
          "A colleague has changed this template in the meantime. Your words are kept here but not saved; compare them and save again.");
    }
    rows.deleteScopes(id.value());
    setScope(id.value(), wanted);
    rows.keepVersion(id.value(), by.value(), clock.instant());
  }

  /** Two people may give the same short name at once; the second one is told. */
  private static long once(java.util.function.LongSupplier write) {
    try {
      return write.getAsLong();
    } catch (DuplicateKeyException taken) {
      throw Problem.fields(
          List.of(new FieldProblem("shortName", "A colleague has just given this short name.")));
    }
  }

  private void setScope(long id, TemplateDraft wanted) {
    wanted.lines().forEach(one -> rows.insertScope(new ScopeRow(id, ScopeRow.Kind.LINE, one)));
    wanted.sites().forEach(one -> rows.insertScope(new ScopeRow(id, ScopeRow.Kind.SITE, one)));
    wanted.teams().forEach(one -> rows.insertScope(new ScopeRow(id, ScopeRow.Kind.TEAM, one)));
    wanted.files().forEach(one -> rows.insertScope(new ScopeRow(id, ScopeRow.Kind.FILE, one)));
  }

  static TemplateDraft plain(TemplateDraft draft) {
    return new TemplateDraft(
        draft.title().strip(),
        ShortName.plain(draft.shortName()),
        draft.words().strip(),
        draft.folder().strip(),
        draft.language().strip().toLowerCase(java.util.Locale.ROOT),
        draft.guarded(),
        draft.retired(),
        draft.lines(),
        draft.sites(),
        draft.teams(),
        draft.files());
  }

  static TemplateRow row(long id, TemplateDraft wanted, long version) {
    return new TemplateRow(
        id,
        wanted.title(),
        wanted.shortName(),
        wanted.words(),
        wanted.folder(),
        wanted.language(),
        wanted.guarded(),
        wanted.retired(),
        version);
  }

  private static @Nullable String shortKey(TemplateDraft wanted) {
    return wanted.retired() || wanted.shortName().isEmpty() ? null : wanted.shortName();
  }

  /** Whether a template is as it is wanted. */
  boolean isSame(Leaf there, TemplateDraft wanted) {
    TemplateRow row = there.row();
    return row.equals(row(row.id(), wanted, row.version()))
        && there.targets(ScopeRow.Kind.LINE).equals(wanted.lines())
        && there.targets(ScopeRow.Kind.SITE).equals(wanted.sites())
        && there.targets(ScopeRow.Kind.TEAM).equals(wanted.teams())
        && there.targets(ScopeRow.Kind.FILE).equals(wanted.files());
  }

  /** How one read in each version, the latest first. */
  public List<VersionView> listVersions(TemplateId id, StaffId asking) {
    book.present(id, asking);
    return rows.listVersions(id.value());
  }

  /**
   * Lets one read as it did in an earlier version; this makes a new version.
   *
   * @param seen the version it has now
   */
  @Transactional
  public void bringBack(TemplateId id, long version, long seen, StaffId by) {
    Leaf now = book.present(id, by);
    VersionView then =
        rows.findVersion(id.value(), version).orElseThrow(() -> Problem.notFound("version"));
    change(
        id,
        new TemplateDraft(
            then.title(),
            then.shortName(),
            then.words(),
            then.folder(),
            then.language(),
            now.row().guarded(),
            now.row().retired(),
            now.targets(ScopeRow.Kind.LINE),
            now.targets(ScopeRow.Kind.SITE),
            now.targets(ScopeRow.Kind.TEAM),
            now.targets(ScopeRow.Kind.FILE)),
        seen,
        by);
  }

  /** Puts one among a person's favourites, or takes it out. */
  @Transactional
  public void setFavourite(TemplateId id, boolean favourite, StaffId me) {
    book.present(id, me);
    if (favourite) {
      rows.addFavourite(me.value(), id.value());
    } else {
      rows.removeFavourite(me.value(), id.value());
    }
  }

  private static void refuse(List<FieldProblem> bad) {
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
  }

  void changed() {
    book.forget();
    events.publishEvent(new TemplatesChanged());
  }
}
