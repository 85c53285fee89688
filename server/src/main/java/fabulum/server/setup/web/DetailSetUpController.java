package fabulum.server.setup.web;

import fabulum.core.customer.DetailType;
import fabulum.server.accounts.SignedIn;
import fabulum.server.customers.DetailSetup;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.setup.DetailSetUp;
import fabulum.server.setup.Outcome;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The extra fields of customers as they are set up; for leads. */
@RestController
@RequestMapping("/api/setup/details")
class DetailSetUpController {
  private final DetailSetUp setUp;

  DetailSetUpController(DetailSetUp setUp) {
    this.setUp = setUp;
  }

  /**
   * An extra field.
   *
   * @param choices of a choice
   * @param version which state was changed; 0 for a new one
   */
  record DetailMessage(
      @NotNull(message = "A name is needed.") String name,
      @NotNull(message = "Choose what may stand in it.") DetailType type,
      @NotNull List<String> choices,
      boolean retired,
      long version) {
    DetailSetup setup() {
      return new DetailSetup(name, type, choices, retired);
    }
  }

  /** An order, by ids. */
  record DetailOrder(@NotNull List<Long> ids) {}

  /** Adds an extra field. */
  @PostMapping
  Outcome add(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody DetailMessage detail) {
    return setUp.add(detail.setup(), me.id());
  }

  /** Changes an extra field. */
  @Problems(Kind.CHANGED_MEANWHILE)
  @PutMapping("/{id}")
  Outcome change(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody DetailMessage detail) {
    return setUp.change(id, detail.setup(), detail.version(), me.id());
  }

  /** Puts the extra fields in another order. */
  @PutMapping
  Outcome order(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody DetailOrder order) {
    return setUp.order(order.ids(), me.id());
  }
}
