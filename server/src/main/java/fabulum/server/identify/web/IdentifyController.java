package fabulum.server.identify.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Customers;
import fabulum.server.customers.FoundNumber;
import fabulum.server.customers.NumberId;
import fabulum.server.identify.Identify;
import fabulum.server.identify.Identify.Done;
import fabulum.server.identify.Identify.Reason;
import fabulum.server.identify.Identify.Scope;
import fabulum.server.identify.IdentifyUndo;
import fabulum.server.identify.LikelyView;
import fabulum.server.identify.WhoWrites;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Who writes from a number. */
@RestController
class IdentifyController {
  private static final int FOUND = 8;

  private final WhoWrites who;
  private final Identify identify;
  private final IdentifyUndo undo;
  private final Customers customers;

  IdentifyController(WhoWrites who, Identify identify, IdentifyUndo undo, Customers customers) {
    this.undo = undo;
    this.who = who;
    this.identify = identify;
    this.customers = customers;
  }

  /**
   * It is a customer on file.
   *
   * @param shared whether others who have the number keep it
   * @param givesUp the id of a number that is no longer theirs
   * @param seen the ids of the holders that the page showed
   */
  record IsCustomer(
      @NotNull Long customerId, boolean shared, @Nullable Long givesUp, @NotNull List<Long> seen) {}

  /** It is a new customer. */
  record IsNew(@NotBlank(message = "A name is needed.") String name, @NotNull List<Long> seen) {}

  /**
   * One of several holders writes.
   *
   * @param text the id of the text, for the scope TEXT; null for the last one
   */
  record IsHolder(
      @NotNull Long customerId,
      @NotNull Scope scope,
      @Nullable Long text,
      @NotNull List<Long> seen) {}

  /** The texts are not for us. */
  record IsNotForUs(@NotNull Reason reason, @NotNull List<Long> seen) {}

  /** Who probably writes, with the evidence I may see. */
  @GetMapping("/api/conversations/{id}/likely")
  LikelyView likely(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return who.of(new ConversationId(id), me.id());
  }

  /** Customers by part of their name, number or details. */
  @GetMapping("/api/customers/find")
  List<FoundNumber> find(@RequestParam @NotBlank @Size(max = 100) String words) {
    return customers.search(words, FOUND);
  }

  /** It is this customer: the number becomes theirs. */
  @Problems(Kind.CHANGED_MEANWHILE)
  @PostMapping("/api/conversations/{id}/identify/customer")
  Done customer(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody IsCustomer is) {
    return identify.customer(
        new ConversationId(id),
        new CustomerId(is.customerId()),
        is.shared(),
        is.givesUp() == null ? null : new NumberId(is.givesUp()),
        is.seen(),
        me.id());
  }

  /** It is a new customer. */
  @Problems(Kind.CHANGED_MEANWHILE)
  @PostMapping("/api/conversations/{id}/identify/new")
  Done newCustomer(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @Valid @RequestBody IsNew is) {
    return identify.newCustomer(new ConversationId(id), is.name(), is.seen(), me.id());
  }

  /** Of several holders, it is this one. */
  @Problems(Kind.CHANGED_MEANWHILE)
  @PostMapping("/api/conversations/{id}/identify/holder")
  Done holder(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody IsHolder is) {
    return identify.oneOfSeveral(
        new ConversationId(id),
        new CustomerId(is.customerId()),
        is.scope(),
        is.text() == null ? null : new EntryId(is.text()),
        is.seen(),
        me.id());
  }

  /** It is not for us. */
  @Problems(Kind.CHANGED_MEANWHILE)
  @PostMapping("/api/conversations/{id}/identify/not-for-us")
  Done notForUs(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody IsNotForUs is) {
    return identify.notForUs(new ConversationId(id), is.reason(), is.seen(), me.id());
  }

  /** Takes back what was said of who writes. */
  @Problems(Kind.CHANGED_MEANWHILE)
  @PostMapping("/api/identifying/{act}/undo")
  void undo(@AuthenticationPrincipal SignedIn me, @PathVariable long act) {
    undo.undo(act, me.id());
  }
}
