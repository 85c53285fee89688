package fabulum.server.setup.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.notices.IdentifyAlert;
import fabulum.server.setup.IdentifyAlertSetUp;
import fabulum.server.setup.Outcome;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Who is alerted when nobody says who writes; for leads. */
@RestController
@RequestMapping("/api/setup/identify-alert")
class IdentifyAlertController {
  private final IdentifyAlertSetUp setUp;

  IdentifyAlertController(IdentifyAlertSetUp setUp) {
    this.setUp = setUp;
  }

  /**
   * Who shall be alerted, and when.
   *
   * @param staffId absent for nobody
   */
  record IdentifyAlertMessage(int afterMinutes, @Nullable Long staffId) {}

  /** Who is alerted, and when. */
  @GetMapping
  IdentifyAlert identifyAlert(@AuthenticationPrincipal SignedIn me) {
    return setUp.get(me.id());
  }

  /** Alerts another person, or at another time. */
  @PutMapping
  Outcome changeIdentifyAlert(
      @AuthenticationPrincipal SignedIn me, @RequestBody IdentifyAlertMessage wanted) {
    return setUp.set(new IdentifyAlert(wanted.afterMinutes(), wanted.staffId()), me.id());
  }
}
