package fabulum.server.setup.web;

import fabulum.core.access.Act;
import fabulum.core.cost.AllowanceSpan;
import fabulum.core.cost.Money;
import fabulum.core.cost.Price;
import fabulum.core.cost.Stock;
import fabulum.core.hours.PossibleDates;
import fabulum.core.text.OneLine;
import fabulum.server.access.Permits;
import fabulum.server.accounts.SignedIn;
import fabulum.server.cost.AllowanceSetup;
import fabulum.server.cost.CostSettings;
import fabulum.server.cost.Costs;
import fabulum.server.cost.PartsBought;
import fabulum.server.cost.PriceSetup;
import fabulum.server.cost.Purchase;
import fabulum.server.cost.StockWatch;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.setup.CostSetUp;
import fabulum.server.setup.Outcome;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Digits;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.PositiveOrZero;
import jakarta.validation.constraints.Size;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Prices, allowances and parts bought ahead, as they are set up. */
@RestController
@RequestMapping("/api/setup/costs")
class CostSetUpController {
  private final CostSetUp setUp;
  private final Costs costs;
  private final PartsBought bought;
  private final StockWatch watch;
  private final Permits permits;

  CostSetUpController(
      CostSetUp setUp, Costs costs, PartsBought bought, StockWatch watch, Permits permits) {
    this.setUp = setUp;
    this.costs = costs;
    this.bought = bought;
    this.watch = watch;
    this.permits = permits;
  }

  /**
   * A price.
   *
   * @param lineId the line it holds for; empty for all that have none of their own
   * @param from the first day on which it holds
   * @param amount with up to five decimals
   */
  record PriceMessage(
      @Nullable Long lineId,
      @NotNull(message = "Say what it is the price of.") Price.Kind kind,
      @NotNull(message = "Say from which day on.") LocalDate from,
      @NotNull(message = "Say how much.")
          @PositiveOrZero(message = "A price is not negative.")
          @Digits(integer = 7, fraction = 5, message = "At most 7 digits and 5 decimals.")
          BigDecimal amount) {
    static PriceMessage of(PriceSetup price) {
      return new PriceMessage(price.lineId(), price.kind(), price.from(), price.amount());
    }

    PriceSetup setup() {
      return new PriceSetup(lineId, kind, from, amount);
    }
  }

  /**
   * An allowance.
   *
   * @param staffId by whom; empty for anyone
   * @param teamId from the lines of which team; empty for all
   * @param parts 0 for none at all
   */
  record AllowanceMessage(
      @Nullable Long staffId,
      @Nullable Long teamId,
      @NotNull(message = "Say for which time.") AllowanceSpan span,
      @Min(value = 0, message = "0 to 10,000,000 parts.")
          @Max(value = 10_000_000, message = "0 to 10,000,000 parts.")
          int parts) {
    static AllowanceMessage of(AllowanceSetup allowance) {
      return new AllowanceMessage(
          allowance.staffId(), allowance.teamId(), allowance.span(), allowance.parts());
    }

    AllowanceSetup setup() {
      return new AllowanceSetup(staffId, teamId, span, parts);
    }
  }

  /**
   * Prices and allowances.
   *
   * @param currency of all prices, ISO 4217
   * @param version as it was read
   */
  record CostSettingsMessage(
      @NotNull(message = "Say in which currency.") String currency,
      @NotNull(message = "Say which prices, or none.")
          @Size(max = 500, message = "At most 500 prices.")
          List<@Valid @NotNull PriceMessage> prices,
      @NotNull(message = "Say which allowances, or none.")
          @Size(max = 500, message = "At most 500 allowances.")
          List<@Valid @NotNull AllowanceMessage> allowances,
      long version) {
    static CostSettingsMessage of(CostSettings settings) {
      return new CostSettingsMessage(
          settings.currency(),
          settings.prices().stream().map(PriceMessage::of).toList(),
          settings.allowances().stream().map(AllowanceMessage::of).toList(),
          settings.version());
    }

    CostSettings settings() {
      List<FieldProblem> bad = new ArrayList<>();
      if (!Money.isCurrency(currency)) {
        bad.add(new FieldProblem("currency", "Use a code of three letters, such as USD or EUR."));
      }
      prices(bad);
      allowances(bad);
      if (!bad.isEmpty()) {
        throw Problem.fields(bad);
      }
      return new CostSettings(
          currency,
          prices.stream().map(PriceMessage::setup).toList(),
          allowances.stream().map(AllowanceMessage::setup).toList(),
          version);
    }

    private void prices(List<FieldProblem> bad) {
      Set<List<Object>> had = new HashSet<>();
      for (int i = 0; i < prices.size(); i++) {
        PriceMessage price = prices.get(i);
        String field = "prices[" + i + "].from";
        Object line = price.lineId() == null ? 0L : price.lineId();
        if (!PossibleDates.isOne(price.from())) {
          bad.add(new FieldProblem(field, "Dates lie between 1900 and 2199."));
        }
        if (!had.add(List.of(line, price.kind(), price.from()))) {
          bad.add(new FieldProblem(field, "There are two prices for this from the same day on."));
        }
      }
    }

    private void allowances(List<FieldProblem> bad) {
      Set<List<Object>> had = new HashSet<>();
      for (int i = 0; i < allowances.size(); i++) {
        AllowanceMessage each = allowances.get(i);
        String field = "allowances[" + i + "].span";
        Object staff = each.staffId() == null ? 0L : each.staffId();
        Object team = each.teamId() == null ? 0L : each.teamId();
        if (each.staffId() != null && each.teamId() != null) {
          bad.add(new FieldProblem(field, "Choose a person or a team."));
        }
        if (!had.add(List.of(staff, team, each.span()))) {
          bad.add(new FieldProblem(field, "There are two allowances for the same time."));
        }
      }
    }
  }

  /**
   * Parts bought ahead.
   *
   * @param parts negative to balance a mistake
   * @param price of all of them
   * @param currency of the price, ISO 4217
   */
  record PurchaseMessage(
      @NotNull(message = "Say when.") LocalDate day,
      @Min(value = -100_000_000, message = "At most 100,000,000 parts.")
          @Max(value = 100_000_000, message = "At most 100,000,000 parts.")
          int parts,
      @NotNull(message = "Say for how much.")
          @Digits(integer = 9, fraction = 5, message = "At most 9 digits and 5 decimals.")
          BigDecimal price,
      @NotNull(message = "Say in which currency.") String currency,
      @NotNull(message = "Write a remark, or nothing.")
          @Size(max = 200, message = "Use at most 200 characters.")
          String remark) {
    static PurchaseMessage of(Purchase bought) {
      return new PurchaseMessage(
          bought.day(), bought.parts(), bought.price(), bought.currency(), bought.remark());
    }

    Purchase purchase() {
      List<FieldProblem> bad = new ArrayList<>();
      if (parts == 0) {
        bad.add(new FieldProblem("parts", "Say how many."));
      }
      if (!PossibleDates.isOne(day)) {
        bad.add(new FieldProblem("day", "Dates lie between 1900 and 2199."));
      }
      if (!Money.isCurrency(currency)) {
        bad.add(new FieldProblem("currency", "Use a code of three letters, such as USD or EUR."));
      }
      OneLine.objection(remark).ifPresent(why -> bad.add(new FieldProblem("remark", why)));
      if (!bad.isEmpty()) {
        throw Problem.fields(bad);
      }
      return new Purchase(day, parts, price, currency, remark.strip(), null);
    }
  }

  /**
   * The ledger of parts bought ahead.
   *
   * @param left parts left; negative when more were sent than bought
   * @param used since the day of the first purchase
   * @param lastsDays for how many days they last at the pace of the last two weeks; empty when none
   *     were used
   */
  record LedgerResponse(
      List<PurchaseMessage> purchases, long left, long used, @Nullable Integer lastsDays) {}

  /** Prices and allowances; for leads. */
  @GetMapping
  CostSettingsMessage read(@AuthenticationPrincipal SignedIn me) {
    permits.require(me.id(), Act.LEAD);
    return CostSettingsMessage.of(costs.read());
  }

  /** Changes prices and allowances; what texts have cost stays as it was; for leads. */
  @Problems({Kind.CHANGED_MEANWHILE})
  @PutMapping
  Outcome set(
      @AuthenticationPrincipal SignedIn me, @Valid @RequestBody CostSettingsMessage wanted) {
    return setUp.set(wanted.settings(), me.id());
  }

  /** The ledger of parts bought ahead; for leads. */
  @GetMapping("/bought")
  LedgerResponse ledger(@AuthenticationPrincipal SignedIn me) {
    permits.require(me.id(), Act.LEAD);
    List<PurchaseMessage> purchases = bought.list().stream().map(PurchaseMessage::of).toList();
    Stock stock = watch.stock().orElse(new Stock(0, 0, 0, 1));
    Integer days = stock.lastsDays().isPresent() ? stock.lastsDays().getAsInt() : null;
    return new LedgerResponse(
        purchases, stock.left(), stock.used(), purchases.isEmpty() ? null : days);
  }

  /** Notes parts bought ahead; for leads. */
  @PostMapping("/bought")
  Outcome buy(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody PurchaseMessage wanted) {
    return setUp.buy(wanted.purchase(), me.id());
  }
}
