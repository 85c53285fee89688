package fabulum.server.enquiries.web;

import fabulum.core.enquiry.FormPurpose;
import fabulum.server.accounts.SignedIn;
import fabulum.server.enquiries.FormView;
import fabulum.server.enquiries.Forms;
import fabulum.server.enquiries.Forms.Wanted;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The forms of the web site, as leads set them up. */
@RestController
@RequestMapping("/api/setup/forms")
class FormSetUpController {
  private final Forms forms;

  FormSetUpController(Forms forms) {
    this.forms = forms;
  }

  /**
   * A form as it should be.
   *
   * @param version that was seen; 0 for a new one
   */
  record FormRequest(
      @NotNull(message = "A name is needed.") String name,
      @NotNull(message = "The name of the business is needed.") String business,
      @NotNull(message = "A heading is needed.") String heading,
      @NotNull(message = "An introduction may be empty, but not missing.") String intro,
      @NotNull(message = "A wording is needed.") String wording,
      @NotNull(message = "A colour is needed.") String colour,
      @NotNull(message = "Say what the form asks for.") FormPurpose asks,
      boolean confirms,
      boolean inUse,
      @NotNull(message = "Choose at least one line.") List<@NotNull Long> lines,
      long version) {
    Wanted wanted() {
      return new Wanted(
          name, business, heading, intro, wording, colour, asks, confirms, inUse, lines);
    }
  }

  /** All forms; for leads. */
  @GetMapping
  List<FormView> forms(@AuthenticationPrincipal SignedIn me) {
    return forms.list(me.id());
  }

  /** Makes a form; its address is made with it. */
  @PostMapping
  FormView addForm(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody FormRequest wanted) {
    return forms.add(wanted.wanted(), me.id());
  }

  /** Changes a form; its address stays. */
  @Problems(Kind.CHANGED_MEANWHILE)
  @PutMapping("/{id}")
  FormView changeForm(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody FormRequest wanted) {
    return forms.change(id, wanted.wanted(), wanted.version(), me.id());
  }
}
