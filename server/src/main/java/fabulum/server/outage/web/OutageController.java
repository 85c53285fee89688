package fabulum.server.outage.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.outage.Outage;
import fabulum.server.outage.OutageView;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** After an outage: what the network holds, compared with what we have. */
@RestController
@RequestMapping("/api/outage")
class OutageController {
  private final Outage outage;

  OutageController(Outage outage) {
    this.outage = outage;
  }

  /** Days of the network, in UTC; both are compared. */
  record CompareRequest(
      @NotNull(message = "From which day?") LocalDate first,
      @NotNull(message = "Until which day?") LocalDate last) {}

  /**
   * How missing texts are taken in.
   *
   * @param waitsSince texts from then on wait for an answer; empty for none of them
   */
  record TakeInRequest(@Nullable Instant waitsSince) {}

  /** How many texts are asked about. */
  record AskedResponse(int texts) {}

  /** How the last comparison stands. */
  @GetMapping
  OutageView view(@AuthenticationPrincipal SignedIn me) {
    return outage.view(me.id());
  }

  /** Compares some days anew, in the background. */
  @Problems(Kind.CHANGED_MEANWHILE)
  @PostMapping("/compare")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void compare(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody CompareRequest wanted) {
    outage.compare(wanted.first(), wanted.last(), me.id());
  }

  /** Takes in what is missing, in the background; each text at its own time, none twice. */
  @Problems(Kind.CHANGED_MEANWHILE)
  @PostMapping("/take")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void take(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody TakeInRequest wanted) {
    outage.take(wanted.waitsSince(), me.id());
  }

  /** Asks the network about all texts of ours it has not reported on. */
  @PostMapping("/ask")
  AskedResponse ask(@AuthenticationPrincipal SignedIn me) {
    return new AskedResponse(outage.askAboutUnreported(me.id()));
  }
}
