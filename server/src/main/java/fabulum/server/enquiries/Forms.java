package fabulum.server.enquiries;

import fabulum.core.access.Act;
import fabulum.core.enquiry.FormPurpose;
import fabulum.core.phone.PhoneNumber;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.enquiries.store.EnquiryMapper;
import fabulum.server.enquiries.store.FormRow;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.security.SecureRandom;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The forms of a business's web site. */
@Service
public class Forms {
  private static final Pattern COLOUR = Pattern.compile("#[0-9a-fA-F]{6}");
  private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";
  private static final int LETTERS_OF_ADDRESS = 12;
  private static final int LONGEST_NAME = 80;
  private static final int LONGEST_HEADING = 120;
  private static final int LONGEST_INTRO = 600;
  private static final int LONGEST_WORDING = 1_000;

  private final EnquiryMapper rows;
  private final Lines lines;
  private final Permits permits;
  private final SecureRandom random = new SecureRandom();

  Forms(EnquiryMapper rows, Lines lines, Permits permits) {
    this.rows = rows;
    this.lines = lines;
    this.permits = permits;
  }

  /** A form as a lead wants it; see {@link FormView}. */
  public record Wanted(
      String name,
      String business,
      String heading,
      String intro,
      String wording,
      String colour,
      FormPurpose asks,
      boolean confirms,
      boolean inUse,
      List<Long> lines) {
    public Wanted {
      lines = lines.stream().distinct().toList();
    }
  }

  /** All forms, those in use first; for leads. */
  public List<FormView> list(StaffId asking) {
    permits.require(asking, Act.LEAD);
    return rows.listForms().stream().map(this::view).toList();
  }

  /** The form with an address, where it is in use. */
  public Optional<FormView> find(String address) {
    return rows.findForm(address).filter(FormRow::inUse).map(this::view);
  }

  /** The lines of a form that are in use. */
  public List<LineView> lines(FormView form) {
    return form.lines().stream()
        .flatMap(id -> lines.list().stream().filter(line -> line.id() == id))
        .filter(LineView::inUse)
        .toList();
  }

  /** Makes a form. */
  @Transactional
  public FormView add(Wanted wanted, StaffId by) {
    permits.require(by, Act.LEAD);
    check(wanted);
    long id = rows.insertForm(row(0, address(), wanted, 0));
    wanted.lines().forEach(line -> rows.insertLine(id, line));
    return view(rows.getForm(id).orElseThrow());
  }

  /**
   * Changes a form.
   *
   * @param version that the lead saw
   */
  @Transactional
  public FormView change(long id, Wanted wanted, long version, StaffId by) {
    permits.require(by, Act.LEAD);
    FormRow had = rows.getForm(id).orElseThrow(() -> Problem.notFound("form"));
    check(wanted);
    if (rows.updateForm(row(id, had.address(), wanted, version)) == 0) {
      throw Problem.conflict(
          Problem.Kind.CHANGED_MEANWHILE,
          "A colleague has just changed this form. Nothing was saved; please look again.");
    }
    rows.deleteLines(id);
    wanted.lines().forEach(line -> rows.insertLine(id, line));
    return view(rows.getForm(id).orElseThrow());
  }

  private String address() {
    StringBuilder address = new StringBuilder();
    for (int i = 0; i < LETTERS_OF_ADDRESS; i++) {
      address.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
    }
    return address.toString();
  }

  private static FormRow row(long id, String address, Wanted wanted, long version) {
    return new FormRow(
        id,
        address,
        wanted.name().strip(),
        wanted.business().strip(),
        wanted.heading().strip(),
        wanted.intro().strip(),
        wanted.wording().strip(),
        wanted.colour(),
        wanted.asks(),
        wanted.confirms(),
        wanted.inUse(),
        version);
  }

  private void check(Wanted wanted) {
    List<FieldProblem> bad = new ArrayList<>();
    require(bad, "name", wanted.name(), LONGEST_NAME);
    require(bad, "business", wanted.business(), LONGEST_NAME);
    require(bad, "heading", wanted.heading(), LONGEST_HEADING);
    require(bad, "wording", wanted.wording(), LONGEST_WORDING);
    if (wanted.intro().length() > LONGEST_INTRO) {
      bad.add(new FieldProblem("intro", "Use at most " + LONGEST_INTRO + " characters."));
    }
    if (!COLOUR.matcher(wanted.colour()).matches()) {
      bad.add(new FieldProblem("colour", "A colour is # and six digits, for example #1f5c50."));
    }
    if (wanted.lines().isEmpty()) {
      bad.add(new FieldProblem("lines", "Choose at least one line."));
    }
    for (Long line : wanted.lines()) {
      if (lines.list().stream().noneMatch(one -> one.id() == line)) {
        bad.add(new FieldProblem("lines", "This line does not exist any more."));
      }
    }
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
  }

  private static void require(List<FieldProblem> bad, String field, String words, int longest) {
    if (words.isBlank() || words.strip().length() > longest) {
      bad.add(new FieldProblem(field, "1 to " + longest + " characters are needed."));
    }
  }

  private FormView view(FormRow row) {
    return new FormView(
        row.id(),
        row.address(),
        row.name(),
        row.business(),
        row.heading(),
        row.intro(),
        row.wording(),
        row.colour(),
        row.asks(),
        row.confirms(),
        row.inUse(),
        rows.listLines(row.id()),
        row.version());
  }

  /** Whether a number is none of our own. */
  boolean isNoLine(PhoneNumber number) {
    return lines.findByNumber(number).isEmpty();
  }

  /** The line of a form that somebody chose; the only one where there is no choice. */
  Optional<LineView> line(FormView form, Optional<LineId> chosen) {
    List<LineView> possible = lines(form);
    return possible.size() == 1 && chosen.isEmpty()
        ? Optional.of(possible.get(0))
        : possible.stream()
            .filter(line -> chosen.filter(id -> id.value() == line.id()).isPresent())
            .findFirst();
  }
}
