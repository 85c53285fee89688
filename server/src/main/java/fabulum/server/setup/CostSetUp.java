package fabulum.server.setup;

import fabulum.core.cost.Money;
import fabulum.server.access.StaffId;
import fabulum.server.cost.AllowanceSetup;
import fabulum.server.cost.CostSettings;
import fabulum.server.cost.Costs;
import fabulum.server.cost.PartsBought;
import fabulum.server.cost.PriceSetup;
import fabulum.server.cost.Purchase;
import fabulum.server.cost.StockWatch;
import fabulum.server.platform.Problem;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Sets up prices and allowances, and notes parts bought ahead. Each change is kept. */
@Service
public class CostSetUp {
  private static final String SUBJECT = "costs";

  private final Costs costs;
  private final PartsBought bought;
  private final StockWatch watch;
  private final CostNames names;
  private final ChangeBook changes;
  private final SetUpChanges all;

  CostSetUp(
      Costs costs,
      PartsBought bought,
      StockWatch watch,
      CostNames names,
      ChangeBook changes,
      SetUpChanges all) {
    this.costs = costs;
    this.bought = bought;
    this.watch = watch;
    this.names = names;
    this.changes = changes;
    this.all = all;
  }

  /** Changes prices and allowances, if nobody else has since they were read. */
  public Outcome set(CostSettings wanted, StaffId by) {
    return all.carryOut(
        by,
        () -> {
          Map<String, String> before = said(costs.read());
          if (!costs.change(wanted)) {
            throw Problem.changedMeanwhile("page");
          }
          changes.noteAll(by, SUBJECT, before, said(costs.read()));
          return 0L;
        });
  }

  private Map<String, String> said(CostSettings settings) {
    Map<String, String> said = new LinkedHashMap<>();
    said.put("currency", settings.currency());
    said.put(
        "prices",
        settings.prices().stream()
            .map(each -> said(each, settings.currency()))
            .collect(Collectors.joining("; ")));
    said.put(
        "allowances",
        settings.allowances().stream().map(this::said).collect(Collectors.joining("; ")));
    return said;
  }

  private String said(PriceSetup price, String currency) {
    return price.kind().name().toLowerCase(Locale.ROOT).replace('_', ' ')
        + ", "
        + names.line(price.lineId())
        + ", from "
        + price.from()
        + ": "
        + new Money(price.amount(), currency).said();
  }

  private String said(AllowanceSetup allowance) {
    return names.whose(allowance) + " " + allowance.span().said() + ": " + allowance.parts();
  }

  /** Notes parts bought ahead. */
  public Outcome buy(Purchase purchase, StaffId by) {
    Outcome outcome =
        all.carryOut(
            by,
            () -> {
              bought.add(purchase, by);
              Money price = new Money(purchase.price(), purchase.currency());
              String now = purchase.parts() + " parts for " + price.said();
              changes.note(by, SUBJECT, "parts bought", null, now);
              return 0L;
            });
    watch.look();
    return outcome;
  }
}
