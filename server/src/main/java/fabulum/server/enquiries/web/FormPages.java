package fabulum.server.enquiries.web;

import fabulum.core.enquiry.FilledForm;
import fabulum.core.enquiry.FormPurpose;
import fabulum.core.enquiry.Ink;
import fabulum.server.enquiries.FormView;
import fabulum.server.lines.LineView;
import java.util.List;
import java.util.Map;
import org.springframework.web.util.HtmlUtils;

/**
 * The pages of a form: plain HTML that works without scripts, in the look of the business. Every
 * word that comes from outside is escaped.
 */
final class FormPages {
  private static final String STYLE =
      """
      :root { color-scheme: light; }
      * { box-sizing: border-box; }
      body { margin: 0; background: #ffffff; color: #20262b; font: 1rem/1.5 system-ui, sans-serif; }
      main { max-width: 34rem; margin: 0 auto; padding: 1.5rem 1rem 3rem; }
      .from { color: #5a6168; margin: 0; }
      form + .from { margin-top: 1.25rem; }
      h1 { font-size: 1.5rem; line-height: 1.25; margin: 0.25rem 0 0.75rem; padding-top: 0.5rem; border-top: 4px solid %1$s; }
      label, legend { display: block; font-weight: 600; margin-top: 1rem; }
      input[type=text], input[type=tel], select, textarea { width: 100%%; font: inherit; color: inherit; padding: 0.55rem 0.6rem;
        border: 1px solid #6b7278; border-radius: 4px; background: #ffffff; }
      textarea { min-height: 8rem; resize: vertical; }
      .agree { display: flex; gap: 0.6rem; align-items: flex-start; font-weight: 400; }
      .agree input { margin-top: 0.35rem; width: 1.1rem; height: 1.1rem; flex: none; }
      .wrong { color: #a23b2e; font-weight: 600; margin: 0.25rem 0 0; }
      .note { border-left: 4px solid %1$s; padding: 0.5rem 0.75rem; background: #f4f5f5; }
      button { font: inherit; font-weight: 600; margin-top: 1.25rem; padding: 0.65rem 1.25rem; border: 1px solid #20262b;
        border-radius: 4px; background: %1$s; color: %2$s; cursor: pointer; }
      button.quiet { background: none; color: #20262b; border-color: #6b7278; margin-top: 0.75rem; }
      :focus-visible { outline: 3px solid #20262b; outline-offset: 2px; }
      .away { position: absolute; left: -9999px; }
      """;

  private FormPages() {}

  /** The form as it is, with what was filled in and what is wrong with it. */
  record Filling(
      String token, FilledForm filled, String line, Map<String, String> wrong, String said) {
    static Filling empty(String token) {
      return new Filling(token, new FilledForm("", "", "", false), "", Map.of(), "");
    }
  }

  static String form(FormView form, List<LineView> lines, Filling now, String nonce) {
    StringBuilder html = new StringBuilder();
    html.append(note(now.said()));
    html.append("<form method=\"post\" action=\"/form/").append(form.address()).append("\">");
    html.append(hidden("token", now.token()));
    html.append(
        "<p class=\"away\" aria-hidden=\"true\"><label>Leave this empty"
            + "<input type=\"text\" name=\"website\" tabindex=\"-1\" autocomplete=\"off\"></label></p>");
    html.append(field("name", "NAME", "Your name", now, now.filled().name(), "text", "name", 80));
    html.append(
        field(
            "number",
            "NUMBER",
            "Your mobile number",
            now,
            now.filled().number(),
            "tel",
            "tel",
            40));
    if (lines.size() > 1) {
      html.append(chooser(lines, now));
    }
    if (form.asks() == FormPurpose.ENQUIRY) {
      html.append(
              "<label for=\"words\">What is it about?</label><textarea id=\"words\" name=\"words\" maxlength=\"1000\"")
          .append(described(now, "WORDS"))
          .append(">\n")
          .append(escape(now.filled().words()))
          .append("</textarea>")
          .append(wrong(now, "WORDS"));
    }
    html.append("<label class=\"agree\"><input type=\"checkbox\" name=\"agreed\" value=\"yes\"")
        .append(now.filled().agreed() ? " checked" : "")
        .append(described(now, "AGREED"))
        .append("><span>")
        .append(escape(form.wording()))
        .append("</span></label>")
        .append(wrong(now, "AGREED"));
    html.append("<button type=\"submit\">")
        .append(form.asks() == FormPurpose.ENQUIRY ? "Send" : "Agree to texts")
        .append("</button></form>");
    return page(form, html.toString(), nonce);
  }

  private static String chooser(List<LineView> lines, Filling now) {
    StringBuilder html =
        new StringBuilder("<label for=\"line\">Where?</label><select id=\"line\" name=\"line\"");
    html.append(described(now, "LINE")).append("><option value=\"\">Please choose</option>");
    for (LineView line : lines) {
      html.append("<option value=\"")
          .append(line.id())
          .append(now.line().equals(Long.toString(line.id())) ? "\" selected>" : "\">")
          .append(escape(line.site() + ": " + line.name()))
          .append("</option>");
    }
    return html.append("</select>").append(wrong(now, "LINE")).toString();
  }

  /** The page that asks for the code. */
  static String code(FormView form, String token, String said, String nonce) {
    String html =
        note(said)
            + "<p>If this number can receive texts, we have texted it a code of six digits. Enter it here to"
            + " show that the number is yours.</p>"
            + "<form method=\"post\" action=\"/form/"
            + form.address()
            + "/code\">"
            + hidden("token", token)
            + "<label for=\"code\">Code</label>"
            + "<input type=\"text\" id=\"code\" name=\"code\" inputmode=\"numeric\""
            + " autocomplete=\"one-time-code\" maxlength=\"12\" autofocus>"
            + "<button type=\"submit\">Confirm</button></form>"
            + "<form method=\"post\" action=\"/form/"
            + form.address()
            + "/again\">"
            + hidden("token", token)
            + "<button type=\"submit\" class=\"quiet\">Text me another code</button></form>"
            + "<p class=\"from\">No code after a minute? Please check the number, or call us. If you once"
            + " texted us STOP, text us START first.</p>";
    return page(form, html, nonce);
  }

  static String done(FormView form, String nonce) {
    String said =
        form.asks() == FormPurpose.ENQUIRY
            ? "Thank you. We have your message and answer by text, to the number you gave us."
            : "Thank you. We have noted that we may text you. Text STOP at any time to end it.";
    return page(form, note(said), nonce);
  }

  /** A page that only says something. */
  static String said(FormView form, String words, String nonce) {
    return page(
        form,
        note(words) + "<p><a href=\"/form/" + form.address() + "\">Back to the form</a></p>",
        nonce);
  }

  /** The answer for an address without a form in use. */
  static String none(String nonce) {
    return "<!doctype html><html lang=\"en\"><head><meta charset=\"utf-8\"><title>No form here</title>"
        + "<style nonce=\""
        + nonce
        + "\">body { font: 1rem/1.5 system-ui, sans-serif; margin: 3rem 1rem; text-align: center; }</style></head>"
        + "<body><p>There is no form here any more. Please call us.</p></body></html>";
  }

  private static String page(FormView form, String body, String nonce) {
    return "<!doctype html><html lang=\"en\"><head><meta charset=\"utf-8\">"
        + "<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">"
        + "<meta name=\"robots\" content=\"noindex\"><title>"
        + escape(form.heading() + " – " + form.business())
        + "</title><style nonce=\""
        + nonce
        + "\">"
        + String.format(STYLE, form.colour(), Ink.on(form.colour()))
        + "</style></head><body><main><p class=\"from\">"
        + escape(form.business())
        + "</p><h1>"
        + escape(form.heading())
        + "</h1>"
        + (form.intro().isEmpty() ? "" : "<p>" + escape(form.intro()) + "</p>")
        + body
        + "</main></body></html>";
  }

  private static String field(
      String name,
      String key,
      String label,
      Filling now,
      String value,
      String type,
      String autocomplete,
      int longest) {
    return "<label for=\""
        + name
        + "\">"
        + label
        + "</label><input id=\""
        + name
        + "\" name=\""
        + name
        + "\" type=\""
        + type
        + "\" autocomplete=\""
        + autocomplete
        + "\" maxlength=\""
        + longest
        + "\" value=\""
        + escape(value)
        + "\""
        + described(now, key)
        + ">"
        + wrong(now, key);
  }

  private static String described(Filling now, String key) {
    return now.wrong().containsKey(key)
        ? " aria-invalid=\"true\" aria-describedby=\"wrong-" + key + "\""
        : "";
  }

  private static String wrong(Filling now, String key) {
    String why = now.wrong().get(key);
    return why == null ? "" : "<p class=\"wrong\" id=\"wrong-" + key + "\">" + escape(why) + "</p>";
  }

  private static String note(String said) {
    return said.isEmpty() ? "" : "<p class=\"note\" role=\"status\">" + escape(said) + "</p>";
  }

  private static String hidden(String name, String value) {
    return "<input type=\"hidden\" name=\"" + name + "\" value=\"" + escape(value) + "\">";
  }

  private static String escape(String words) {
    return HtmlUtils.htmlEscape(words, "UTF-8");
  }
}
