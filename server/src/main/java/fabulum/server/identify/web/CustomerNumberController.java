package fabulum.server.identify.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.NumberId;
import fabulum.server.identify.CustomerJoining;
import fabulum.server.identify.HeldNumbers;
import fabulum.server.identify.HeldNumbers.Described;
import fabulum.server.identify.Identify.Done;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The numbers of a customer, and who is on file twice. */
@RestController
@RequestMapping("/api/customers/{id}")
class CustomerNumberController {
  private final HeldNumbers numbers;
  private final CustomerJoining joining;

  CustomerNumberController(HeldNumbers numbers, CustomerJoining joining) {
    this.numbers = numbers;
    this.joining = joining;
  }

  /**
   * A number as someone typed it.
   *
   * @param kind mobile, home, work or another word; blank for unknown
   * @param word what is said about it; blank for nothing
   */
  record TypedNumber(
      @NotBlank(message = "A number is needed.") String number,
      @NotNull String kind,
      @NotNull String word) {}

  /** Who turned out to be this customer. */
  record JoinRequest(@NotNull Long gone) {}

  /** Adds a number; others who hold it keep it. */
  @PostMapping("/numbers")
  Done add(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody TypedNumber typed) {
    Described described = new Described(typed.kind(), typed.word());
    return numbers.add(new CustomerId(id), typed.number(), described, me.id());
  }

  /** Changes what is said about a number. */
  @PutMapping("/numbers/{number}")
  void describe(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @PathVariable long number,
      @Valid @RequestBody Described described) {
    numbers.describe(new CustomerId(id), new NumberId(number), described, me.id());
  }

  /** Makes a number the one to text first. */
  @PostMapping("/numbers/{number}/prefer")
  void prefer(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @PathVariable long number) {
    numbers.prefer(new CustomerId(id), new NumberId(number), me.id());
  }

  /** A number is no longer theirs; what they wrote from it until now stays theirs. */
  @Problems(Kind.CHANGED_MEANWHILE)
  @PostMapping("/numbers/{number}/give-up")
  Done giveUp(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @PathVariable long number) {
    return numbers.giveUp(new CustomerId(id), new NumberId(number), me.id());
  }

  /** Another customer is this one too: all that is theirs belongs to this one. */
  @Problems(Kind.CHANGED_MEANWHILE)
  @PostMapping("/join")
  Done join(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody JoinRequest with) {
    return joining.join(new CustomerId(id), new CustomerId(with.gone()), me.id());
  }
}
