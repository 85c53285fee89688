package fabulum.server.setup.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.numbers.Setting;
import fabulum.server.setup.NumberCheckSetUp;
import fabulum.server.setup.NumberCheckSetUp.NumberCheckSetting;
import fabulum.server.setup.Outcome;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.math.BigDecimal;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How numbers are checked; for leads. */
@RestController
@RequestMapping("/api/setup/number-check")
class NumberCheckSetUpController {
  private final NumberCheckSetUp setUp;

  NumberCheckSetUpController(NumberCheckSetUp setUp) {
    this.setUp = setUp;
  }

  /** How numbers shall be checked. */
  record NumberCheckMessage(
      boolean automatic, @NotNull BigDecimal price, @NotNull String currency) {}

  /** How numbers are checked. */
  @GetMapping
  NumberCheckSetting numberCheckSetting(@AuthenticationPrincipal SignedIn me) {
    return setUp.get(me.id());
  }

  /** Changes how numbers are checked. */
  @PutMapping
  Outcome changeNumberCheck(
      @AuthenticationPrincipal SignedIn me, @Valid @RequestBody NumberCheckMessage wanted) {
    return setUp.change(
        new Setting(wanted.automatic(), wanted.price(), wanted.currency()), me.id());
  }
}
