package fabulum.server.numbers.web;

import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Sender;
import fabulum.server.accounts.SignedIn;
import fabulum.server.customers.CustomerId;
import fabulum.server.numbers.NumberChecks;
import fabulum.server.numbers.NumberChecks.Estimate;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Checks of numbers. */
@RestController
@RequestMapping("/api/number-checks")
class NumberCheckController {
  private final NumberChecks checks;

  NumberCheckController(NumberChecks checks) {
    this.checks = checks;
  }

  /** A number, in E.164. */
  record NumberMessage(@NotNull String number) {}

  /** Customers whose numbers shall be checked. */
  record CheckOf(@NotNull List<Long> customers) {
    List<CustomerId> ids() {
      return customers.stream().map(CustomerId::new).toList();
    }
  }

  /**
   * Customers whose numbers shall be checked.
   *
   * @param numbers how many the person saw that it would be
   */
  record CheckAll(@NotNull List<Long> customers, int numbers) {
    List<CustomerId> ids() {
      return customers.stream().map(CustomerId::new).toList();
    }
  }

  /** Asks about one number, whatever was said of it before. */
  @Problems(Kind.NOT_OPEN)
  @PostMapping
  void checkNumber(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody NumberMessage one) {
    PhoneNumber number =
        Sender.ofAddress(one.number())
            .answerable()
            .orElseThrow(() ->
                Problem.fields(List.of(new FieldProblem("number", "Not a valid phone number."))));
    checks.ask(number, me.id());
  }

  /** What it would come to, to ask about all numbers of customers that were never checked. */
  @PostMapping("/estimate")
  Estimate estimateChecks(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody CheckOf these) {
    return checks.estimate(these.ids(), me.id());
  }

  /** Asks about all numbers of customers that were never checked. */
  @Problems({Kind.NOT_OPEN, Kind.CHANGED_MEANWHILE})
  @PostMapping("/all")
  Estimate checkAll(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody CheckAll these) {
    return checks.askAll(these.ids(), these.numbers(), me.id());
  }
}
