package fabulum.server.lines;

import fabulum.core.phone.NumberReader;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.server.lines.store.LineMapper;
import fabulum.server.lines.store.LineRow;
import fabulum.server.platform.BriefMemory;
import fabulum.server.platform.Problem;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The lines of the business. */
@Service
public class Lines {
  private final LineMapper lines;
  private final NumberReader numbers = new NumberReader();
  private final BriefMemory<List<LineView>> all;

  Lines(LineMapper lines) {
    this.lines = lines;
    this.all = new BriefMemory<>(() -> lines.list().stream().map(this::view).toList());
  }

  /** All lines, by site and name; a change is in it a second later at most. */
  public List<LineView> list() {
    return all.get();
  }

  /** The line with this number. */
  public Optional<LineView> findByNumber(PhoneNumber number) {
    return lines.findByNumber(number.e164()).map(this::view);
  }

  /** The line. */
  public LineView get(LineId id) {
    return lines.find(id.value()).map(this::view).orElseThrow(() -> Problem.notFound("line"));
  }

  /** Sets up a line. */
  @Transactional
  public LineId add(NewLine line) {
    long site = lines.findSite(line.site()).orElseGet(() -> lines.insertSite(line.site()));
    return new LineId(
        lines.insert(
            site, line.name(), line.number().e164(), line.region().code(), line.zone().getId()));
  }

  private LineView view(LineRow row) {
    String shown = numbers.forPeople(new PhoneNumber(row.number()), new Region(row.region()));
    return new LineView(
        row.id(),
        row.name(),
        row.site(),
        row.number(),
        shown,
        row.region(),
        row.zone(),
        row.inUse());
  }
}
