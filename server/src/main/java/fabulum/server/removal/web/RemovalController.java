package fabulum.server.removal.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.customers.CustomerId;
import fabulum.server.removal.Removals;
import fabulum.server.removal.Removals.RemovalView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Removing customers for good. */
@RestController
@RequestMapping("/api/customers/{id}/removal")
class RemovalController {
  private final Removals removals;

  RemovalController(Removals removals) {
    this.removals = removals;
  }

  /** The customer's name, typed by the person. */
  record RemovalMessage(@NotNull String name) {}

  /** What would be removed. */
  @GetMapping
  RemovalView removal(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return removals.preview(new CustomerId(id), me.id());
  }

  /** Removes a customer for good; nobody can take it back. */
  @PostMapping
  RemovalView remove(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody RemovalMessage confirmed) {
    return removals.remove(new CustomerId(id), confirmed.name(), me.id());
  }
}
