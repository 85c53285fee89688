package fabulum.server.enquiries.web;

import fabulum.core.enquiry.FilledForm;
import fabulum.server.enquiries.Enquiries;
import fabulum.server.enquiries.Enquiries.HandedIn;
import fabulum.server.enquiries.Enquiries.Outcome;
import fabulum.server.enquiries.FormTokens;
import fabulum.server.enquiries.FormView;
import fabulum.server.enquiries.Forms;
import fabulum.server.enquiries.web.FormPages.Filling;
import fabulum.server.lines.LineId;
import fabulum.server.platform.SecretWords;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The pages of the forms, for anybody. */
@RestController
@Hidden
@RequestMapping("/form/{address}")
class FormController {
  private static final String TOO_MUCH =
      "Too many messages were sent from here in the last hour. This one was not sent. Please try again"
          + " later, or call us.";
  private static final String TOO_OLD =
      "This page was open for too long. Nothing was sent yet: please send it once more.";

  private final Forms forms;
  private final Enquiries enquiries;
  private final FormTokens tokens;

  FormController(Forms forms, Enquiries enquiries, FormTokens tokens) {
    this.forms = forms;
    this.enquiries = enquiries;
    this.tokens = tokens;
  }

  /** The empty form. */
  @GetMapping
  ResponseEntity<String> form(@PathVariable String address) {
    return page(address, form -> shown(form, Filling.empty(tokens.make(form))));
  }

  /** Hands in the form; what is wrong with it is said beside what was filled in. */
  @PostMapping
  ResponseEntity<String> handIn(
      @PathVariable String address,
      @RequestParam(defaultValue = "") String token,
      @RequestParam(defaultValue = "") String website,
      @RequestParam(defaultValue = "") String name,
      @RequestParam(defaultValue = "") String number,
      @RequestParam(defaultValue = "") String line,
      @RequestParam(defaultValue = "") String words,
      @RequestParam(defaultValue = "") String agreed,
      HttpServletRequest request) {
    FilledForm filled = new FilledForm(name, number, words, !agreed.isEmpty());
    return page(
        address,
        form -> {
          Optional<String> reference = tokens.read(form, token);
          if (reference.isEmpty()) {
            Filling again = new Filling(tokens.make(form), filled, line, Map.of(), TOO_OLD);
            return shown(form, again);
          }
          if (!website.isEmpty()) {
            // Only a program fills in a field that nobody sees. It learns nothing.
            return answer(HttpStatus.OK, nonce -> FormPages.done(form, nonce));
          }
          Outcome outcome =
              enquiries.handIn(
                  form,
                  new HandedIn(reference.get(), filled, chosen(line), request.getRemoteAddr()));
          return outcome instanceof Outcome.Wrong wrong
              ? shown(form, new Filling(token, filled, line, wrong.fields(), ""))
              : after(form, token, outcome);
        });
  }

  private static Optional<LineId> chosen(String line) {
    return line.matches("\\d{1,9}")
        ? Optional.of(new LineId(Long.parseLong(line)))
        : Optional.empty();
  }

  /** Confirms the number by the code that was texted to it. */
  @PostMapping("/code")
  ResponseEntity<String> confirm(
      @PathVariable String address,
      @RequestParam(defaultValue = "") String token,
      @RequestParam(defaultValue = "") String code) {
    return page(
        address,
        form ->
            after(
                form,
                token,
                tokens
                    .read(form, token)
                    .map(reference -> enquiries.confirm(form, reference, code))
                    .orElseGet(Outcome.NotThere::new)));
  }

  /** Texts another code. */
  @PostMapping("/again")
  ResponseEntity<String> again(
      @PathVariable String address,
      @RequestParam(defaultValue = "") String token,
      HttpServletRequest request) {
    return page(
        address,
        form ->
            after(
                form,
                token,
                tokens
                    .read(form, token)
                    .map(reference ->
                        enquiries.sendCodeAgain(form, reference, request.getRemoteAddr()))
                    .orElseGet(Outcome.NotThere::new)));
  }

  private ResponseEntity<String> after(FormView form, String token, Outcome outcome) {
    if (outcome instanceof Outcome.Taken) {
      return answer(HttpStatus.OK, nonce -> FormPages.done(form, nonce));
    }
    if (outcome instanceof Outcome.TooMuch) {
      return answer(HttpStatus.TOO_MANY_REQUESTS, nonce -> FormPages.said(form, TOO_MUCH, nonce));
    }
    if (outcome instanceof Outcome.NotThere) {
      return answer(
          HttpStatus.GONE,
          nonce ->
              FormPages.said(
                  form,
                  "This message is not waiting for a code any more. Please send it again.",
                  nonce));
    }
    String said =
        outcome instanceof Outcome.WrongCode
            ? "This code is wrong. Please check it and enter it again."
            : outcome instanceof Outcome.NoCodeAnyMore
                ? "This code does not work any more. Please ask for another one."
                : "";
    HttpStatus status = said.isEmpty() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT;
    return answer(status, nonce -> FormPages.code(form, token, said, nonce));
  }

  private ResponseEntity<String> shown(FormView form, Filling filling) {
    HttpStatus status =
        filling.wrong().isEmpty() && filling.said().isEmpty()
            ? HttpStatus.OK
            : HttpStatus.UNPROCESSABLE_CONTENT;
    return answer(status, nonce -> FormPages.form(form, forms.lines(form), filling, nonce));
  }

  private ResponseEntity<String> page(
      String address, Function<FormView, ResponseEntity<String>> then) {
    return forms
        .find(address)
        .map(then)
        .orElseGet(() -> answer(HttpStatus.NOT_FOUND, FormPages::none));
  }

  private ResponseEntity<String> answer(HttpStatus status, Function<String, String> html) {
    String nonce = SecretWords.make();
    return ResponseEntity.status(status)
        .contentType(new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8))
        .cacheControl(CacheControl.noStore())
        .header(
            "Content-Security-Policy",
            "default-src 'none'; style-src 'nonce-"
                + nonce
                + "'; form-action 'self'; base-uri 'none'; frame-ancestors *")
        .header("Referrer-Policy", "no-referrer")
        .header("X-Content-Type-Options", "nosniff")
        .body(html.apply(nonce));
  }
}
