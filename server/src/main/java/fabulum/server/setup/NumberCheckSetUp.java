package fabulum.server.setup;

import fabulum.core.access.Act;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.numbers.NumberChecks;
import fabulum.server.numbers.Setting;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Service;

/** Sets up how numbers are checked. Each change is kept with who made it and when. */
@Service
public class NumberCheckSetUp {
  private final NumberChecks checks;
  private final ChangeBook changes;
  private final SetUpChanges all;
  private final Permits permits;

  NumberCheckSetUp(NumberChecks checks, ChangeBook changes, SetUpChanges all, Permits permits) {
    this.checks = checks;
    this.changes = changes;
    this.all = all;
    this.permits = permits;
  }

  /**
   * How numbers are checked.
   *
   * @param isThere whether a service is set up
   */
  public record NumberCheckSetting(boolean isThere, Setting setting) {}

  /** How numbers are checked. */
  public NumberCheckSetting get(StaffId asking) {
    permits.require(asking, Act.LEAD);
    return new NumberCheckSetting(checks.isThere(), checks.setting());
  }

  /** Changes how numbers are checked. */
  public Outcome change(Setting wanted, StaffId by) {
    return all.carryOut(
        by,
        () -> {
          Setting before = checks.setting();
          checks.change(wanted);
          changes.noteAll(by, "number check", said(before), said(checks.setting()));
          return 1L;
        });
  }

  private static Map<String, String> said(Setting setting) {
    Map<String, String> said = new LinkedHashMap<>();
    said.put("unknown numbers", setting.automatic() ? "by itself" : "on request");
    said.put("price", setting.price().stripTrailingZeros().toPlainString());
    said.put("currency", setting.currency());
    return said;
  }
}
