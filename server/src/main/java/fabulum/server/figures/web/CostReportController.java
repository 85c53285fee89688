package fabulum.server.figures.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.figures.CostOutlook;
import fabulum.server.figures.CostReports;
import fabulum.server.figures.PricePlanView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What texts cost, and what other price plans would have cost. */
@RestController
@RequestMapping("/api/reports")
class CostReportController {
  private final CostReports costs;

  CostReportController(CostReports costs) {
    this.costs = costs;
  }

  /**
   * A price plan.
   *
   * @param fee for a month
   * @param included parts in the fee
   * @param overPrice for each part over those
   */
  record PricePlanRequest(
      @NotNull(message = "Give it a name.") String name,
      @NotNull(message = "Which currency?") String currency,
      @NotNull(message = "What is the fee of a month?") BigDecimal fee,
      @NotNull(message = "How many parts are included?") Long included,
      @NotNull(message = "What does each part over those cost?") BigDecimal overPrice) {
    PricePlanView plan(long id) {
      return new PricePlanView(id, name, currency, fee, included, overPrice);
    }
  }

  /** The plan that was kept. */
  record PricePlanKeptResponse(long id) {}

  /**
   * Parts and costs of the last twelve months, the coming one at the present pace, and what each
   * plan would have cost.
   *
   * @param volume parts in a month for which each plan is reckoned too
   */
  @GetMapping("/costs")
  CostOutlook outlook(
      @AuthenticationPrincipal SignedIn me, @RequestParam(required = false) @Nullable Long volume) {
    return costs.outlook(volume, me.id());
  }

  /** Adds a price plan. */
  @PostMapping("/plans")
  PricePlanKeptResponse add(
      @AuthenticationPrincipal SignedIn me, @Valid @RequestBody PricePlanRequest plan) {
    return new PricePlanKeptResponse(costs.keep(plan.plan(0), me.id()));
  }

  /** Changes a price plan. */
  @PutMapping("/plans/{id}")
  PricePlanKeptResponse change(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody PricePlanRequest plan) {
    return new PricePlanKeptResponse(costs.keep(plan.plan(id), me.id()));
  }

  /** Deletes a price plan. */
  @DeleteMapping("/plans/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void drop(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    costs.drop(id, me.id());
  }
}
