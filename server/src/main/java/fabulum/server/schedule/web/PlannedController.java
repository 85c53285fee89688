package fabulum.server.schedule.web;

import fabulum.core.delivery.ClientReference;
import fabulum.core.schedule.WhenClosed;
import fabulum.core.sending.Reason;
import fabulum.core.sending.Severity;
import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Moment.TypedTime;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.schedule.PlanList;
import fabulum.server.schedule.PlanWanted;
import fabulum.server.schedule.PlannedPage;
import fabulum.server.schedule.PlannedView;
import fabulum.server.schedule.Plans;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Texts that go later, or again and again. */
@RestController
class PlannedController {
  private final Plans plans;
  private final PlanList list;

  PlannedController(Plans plans, PlanList list) {
    this.plans = plans;
    this.list = list;
  }

  /** What is planned in a conversation, the soonest first. */
  @GetMapping("/api/conversations/{id}/planned")
  List<PlannedView> planned(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return list.list(new ConversationId(id), me.id());
  }

  /**
   * What is planned in all conversations I see, a page at a time.
   *
   * @param writer only what goes in this person's name
   * @param team only in conversations that this team has
   * @param from where the page begins, as the page before it said
   */
  @GetMapping("/api/planned")
  PlannedPage allPlanned(
      @AuthenticationPrincipal SignedIn me,
      @RequestParam @Nullable Long writer,
      @RequestParam @Nullable Long team,
      @RequestParam @Nullable String from) {
    return list.listAll(writer, team, from, me.id());
  }

  /**
   * Reads a time as people type it, by the clocks and hours of the line and the customer's next
   * appointment.
   */
  @GetMapping("/api/conversations/{id}/planned/time")
  TypedTime plannedTime(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestParam @Size(max = 80, message = "That is too long.") String words) {
    return list.readTime(new ConversationId(id), words, me.id());
  }

  /**
   * A text that is to go later.
   *
   * @param words as they stand on the paper, or with placeholders, which are filled when it goes
   * @param template from which they were made; filled and unchanged, its placeholders are kept
   * @param attachments what goes with it, in order
   * @param at when; of a text that repeats not before, and at this time of day
   * @param typed the words by which its time was typed; kept when they tell it from an appointment
   * @param rule by which it goes again, a recurrence rule of RFC 5545 without times; empty for once
   * @param whenClosed what becomes of a date on which the line does not open
   * @param unlessWritten whether it stays here when the customer writes before its time
   * @param comesToMe whether the conversation becomes the writer's when the customer answers it
   * @param confirmed the codes of the reasons that speak against it and are confirmed
   */
  record PlanRequest(
      @NotNull(message = "Write something first.")
          @Size(max = 20_000, message = "That is too long.")
          String words,
      @Nullable Long template,
      @Nullable @Size(max = 10, message = "One text takes 10 attachments at most.")
          List<@NotNull Long> attachments,
      @NotNull(message = "Choose a time.") Instant at,
      @Nullable @Size(max = 80, message = "That is too long.") String typed,
      @Nullable @Size(max = 200, message = "That is too long.") String rule,
      @NotNull(message = "Say what happens on closed days.") WhenClosed whenClosed,
      boolean unlessWritten,
      boolean comesToMe,
      @Nullable List<@Pattern(regexp = "[a-z-]{1,40}", message = "That is no reason.") String>
          confirmed) {
    PlanWanted wanted() {
      return new PlanWanted(
          words,
          template,
          attachments == null ? List.of() : attachments,
          at,
          typed,
          rule,
          whenClosed,
          unlessWritten,
          comesToMe,
          reasons(confirmed));
    }
  }

  private static Set<Reason> reasons(@Nullable List<String> confirmed) {
    return confirmed == null ? Set.of() : Reason.ofCodes(Set.copyOf(confirmed));
  }

  /** What speaks against a text, ahead of its time. */
  record AheadResponse(String code, Severity severity, String sentence) {}

  /**
   * A text as it would go later.
   *
   * @param words as they would go now; gaps stand in braces
   * @param repeats the rule as a sentence
   * @param dates the first ones, the soonest first
   * @param zone by whose clocks, IANA name
   * @param theirZone of the clocks where the customer is
   */
  record PlanPreviewResponse(
      String words,
      @Nullable String repeats,
      List<Instant> dates,
      String zone,
      String theirZone,
      List<AheadResponse> objections) {
    static PlanPreviewResponse of(PlanList.Preview preview) {
      return new PlanPreviewResponse(
          preview.words(),
          preview.repeats(),
          preview.dates(),
          preview.zone(),
          preview.theirZone(),
          preview.objections().stream()
              .map(
                  each -> new AheadResponse(each.reason().code(), each.severity(), each.sentence()))
              .toList());
    }
  }

  /** Says when a text would go, and what speaks against it ahead of that. */
  @PostMapping("/api/conversations/{id}/planned/check")
  PlanPreviewResponse checkPlanned(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody PlanRequest text) {
    return PlanPreviewResponse.of(list.preview(new ConversationId(id), text.wanted(), me.id()));
  }

  /**
   * A text that is to go later, with its reference.
   *
   * @param reference made by the caller, once for it: planning it again plans nothing more
   */
  record NewPlanRequest(
      @NotNull(message = "A reference is needed.")
          @Pattern(regexp = ClientReference.FORM, message = ClientReference.SAID)
          String reference,
      @NotNull(message = "A text is needed.") @Valid PlanRequest text) {}

  /** A planned text. */
  record PlannedResponse(long id) {}

  /** Plans a text; under one reference it is planned once. */
  @Problems({
    Kind.MAY_NOT_BE_SENT,
    Kind.NEEDS_CONFIRMATION,
    Kind.SENT_WITH_OTHER_WORDS,
    Kind.CHANGED_MEANWHILE
  })
  @PostMapping("/api/conversations/{id}/planned")
  PlannedResponse plan(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody NewPlanRequest wanted) {
    return new PlannedResponse(
        plans.add(new ConversationId(id), wanted.reference(), wanted.text().wanted(), me.id()));
  }

  /**
   * A change.
   *
   * @param version from which it was made
   */
  record ChangedPlanRequest(
      long version, @NotNull(message = "A text is needed.") @Valid PlanRequest text) {}

  /** Changes a text that waits or is held; a held one waits again. */
  @Problems({Kind.MAY_NOT_BE_SENT, Kind.NEEDS_CONFIRMATION, Kind.CHANGED_MEANWHILE})
  @PutMapping("/api/planned/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void changePlanned(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody ChangedPlanRequest wanted) {
    plans.change(id, wanted.version(), wanted.text().wanted(), me.id());
  }

  /**
   * An act.
   *
   * @param version of the text as it was shown
   * @param confirmed the codes of the reasons that speak against it and are confirmed
   */
  record PlanActRequest(
      long version,
      @Nullable List<@Pattern(regexp = "[a-z-]{1,40}", message = "That is no reason.") String>
          confirmed) {}

  /** Sends it now; a text that repeats goes on with the date after the next one. */
  @Problems({Kind.MAY_NOT_BE_SENT, Kind.NEEDS_CONFIRMATION, Kind.CHANGED_MEANWHILE})
  @PostMapping("/api/planned/{id}/send-now")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void sendPlannedNow(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody PlanActRequest act) {
    list.sendNow(id, act.version(), reasons(act.confirmed()), me.id());
  }

  /** Leaves out the next date of a text that repeats. */
  @Problems({Kind.CHANGED_MEANWHILE, Kind.ENDED})
  @PostMapping("/api/planned/{id}/skip")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void skipPlanned(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody PlanActRequest act) {
    plans.skip(id, act.version(), me.id());
  }

  /** Cancels it; the words of my own text that goes once are my draft again. */
  @Problems({Kind.CHANGED_MEANWHILE})
  @PostMapping("/api/planned/{id}/cancel")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void cancelPlanned(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody PlanActRequest act) {
    plans.cancel(id, act.version(), me.id());
  }
}
