package fabulum.server.enquiries.web;

import fabulum.core.enquiry.FilledForm;
import fabulum.server.enquiries.Enquiries;
import fabulum.server.enquiries.Enquiries.HandedIn;
import fabulum.server.enquiries.Enquiries.Outcome;
import fabulum.server.enquiries.FormView;
import fabulum.server.enquiries.Forms;
import fabulum.server.lines.LineId;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.programs.Program;
import fabulum.server.programs.ProgramRight;
import fabulum.server.programs.Programs;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Enquiries that the business's own web site takes in and hands on. */
@RestController
@RequestMapping("/api/outside/v1/forms/{form}/enquiries")
class EnquiryController {
  private final Forms forms;
  private final Enquiries enquiries;

  EnquiryController(Forms forms, Enquiries enquiries) {
    this.forms = forms;
    this.enquiries = enquiries;
  }

  /**
   * An enquiry.
   *
   * @param reference 8 to 64 letters, digits and hyphens that the web site made; the same one again
   *     is the same enquiry
   * @param number as it was typed
   * @param words what it is about; left out where the form asks for an agreement only
   * @param line the id of the line, where the form has several
   * @param agreed whether they ticked the wording of the form
   * @param address of the person's browser, for the limits
   */
  record EnquiryMessage(
      @NotNull(message = "A reference is needed.")
          @Pattern(
              regexp = "[A-Za-z0-9-]{8,64}",
              message = "A reference is 8 to 64 letters, digits and hyphens.")
          String reference,
      @NotNull(message = "A name is needed.") String name,
      @NotNull(message = "A number is needed.") String number,
      @Nullable String words,
      @Nullable Long line,
      boolean agreed,
      @NotBlank(message = "An address is needed.") @Size(max = 60, message = "That is too long.")
          String address) {}

  /** What came of it: {@code TAKEN}, or {@code CODE} when a code was texted to the number. */
  record EnquiryAnswer(EnquiryState state) {}

  enum EnquiryState {
    TAKEN,
    CODE
  }

  /** A code as the person typed it. */
  record CodeMessage(@NotBlank(message = "A code is needed.") String code) {}

  /** Hands in an enquiry. */
  @Problems(Kind.TOO_MANY_TRIES)
  @PostMapping
  EnquiryAnswer handIn(
      @AuthenticationPrincipal Program me,
      @PathVariable String form,
      @Valid @RequestBody EnquiryMessage said) {
    FilledForm filled =
        new FilledForm(
            said.name(), said.number(), said.words() == null ? "" : said.words(), said.agreed());
    Optional<LineId> line = Optional.ofNullable(said.line()).map(LineId::new);
    HandedIn handed = new HandedIn(said.reference(), filled, line, said.address());
    return answer(enquiries.handIn(form(form, me), handed));
  }

  /** Confirms the number of an enquiry by the code that was texted to it. */
  @Problems(Kind.TOO_MANY_TRIES)
  @PostMapping("/{reference}/code")
  EnquiryAnswer confirm(
      @AuthenticationPrincipal Program me,
      @PathVariable String form,
      @PathVariable String reference,
      @Valid @RequestBody CodeMessage said) {
    return answer(enquiries.confirm(form(form, me), reference, said.code()));
  }

  private FormView form(String address, Program me) {
    Programs.require(me, ProgramRight.SEND_ENQUIRIES);
    return forms.find(address).orElseThrow(() -> Problem.notFound("form"));
  }

  private static EnquiryAnswer answer(Outcome outcome) {
    if (outcome instanceof Outcome.Taken) {
      return new EnquiryAnswer(EnquiryState.TAKEN);
    }
    if (outcome instanceof Outcome.AsksForCode) {
      return new EnquiryAnswer(EnquiryState.CODE);
    }
    if (outcome instanceof Outcome.Wrong wrong) {
      throw Problem.fields(
          wrong.fields().entrySet().stream()
              .map(one -> new FieldProblem(one.getKey().toLowerCase(Locale.ROOT), one.getValue()))
              .toList());
    }
    if (outcome instanceof Outcome.TooMuch) {
      throw Problem.conflict(
          Kind.TOO_MANY_TRIES, "Too many enquiries within an hour. This one was not kept.");
    }
    if (outcome instanceof Outcome.NotThere) {
      throw Problem.notFound("enquiry");
    }
    throw Problem.fields(
        List.of(
            new FieldProblem(
                "code",
                outcome instanceof Outcome.WrongCode
                    ? "This code is wrong."
                    : "This code does not work any more.")));
  }
}
