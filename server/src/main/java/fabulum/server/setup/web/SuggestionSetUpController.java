package fabulum.server.setup.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.setup.Outcome;
import fabulum.server.setup.SuggestionSetUp;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Whether templates are suggested; for leads. */
@RestController
@RequestMapping("/api/setup/suggestions")
class SuggestionSetUpController {
  private final SuggestionSetUp setUp;

  SuggestionSetUpController(SuggestionSetUp setUp) {
    this.setUp = setUp;
  }

  /** Whether templates are suggested. */
  record SuggestionMessage(boolean on) {}

  /** Whether templates are suggested to those who answer. */
  @GetMapping
  SuggestionMessage suggestionSetting(@AuthenticationPrincipal SignedIn me) {
    return new SuggestionMessage(setUp.isOn(me.id()));
  }

  /** Switches the suggestions of templates on or off for everybody. */
  @PutMapping
  Outcome changeSuggestions(
      @AuthenticationPrincipal SignedIn me, @RequestBody SuggestionMessage wanted) {
    return setUp.set(wanted.on(), me.id());
  }
}
