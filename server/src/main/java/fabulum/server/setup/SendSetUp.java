package fabulum.server.setup;

import fabulum.core.sending.Reason;
import fabulum.core.sending.SendPolicy;
import fabulum.core.text.Language;
import fabulum.server.access.StaffId;
import fabulum.server.platform.Problem;
import fabulum.server.sending.SendSettings;
import fabulum.server.sending.SendSettings.Appended;
import fabulum.server.sending.SendSetup;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Sets up what is asked before a text goes. Each change is kept with who made it. */
@Service
public class SendSetUp {
  private static final String SUBJECT = "sending";

  private final SendSetup settings;
  private final ChangeBook changes;
  private final SetUpChanges all;

  SendSetUp(SendSetup settings, ChangeBook changes, SetUpChanges all) {
    this.settings = settings;
    this.changes = changes;
    this.all = all;
  }

  /** Changes the settings, if nobody else has since they were read. */
  public Outcome set(SendSettings wanted, StaffId by) {
    return all.carryOut(
        by,
        () -> {
          Map<String, String> before = said(settings.read());
          if (!settings.change(wanted)) {
            throw Problem.changedMeanwhile("page");
          }
          changes.noteAll(by, SUBJECT, before, said(settings.read()));
          return 0L;
        });
  }

  private static Map<String, String> said(SendSettings settings) {
    SendPolicy policy = settings.policy();
    Map<String, String> said = new LinkedHashMap<>();
    said.put("business", settings.business());
    said.put("how to reach us", settings.contact());
    said.put(
        "keywords also in",
        settings.languages().stream()
            .sorted()
            .map(SendSetUp::name)
            .collect(Collectors.joining(", ")));
    said.put("STOP holds for", settings.stopEverywhere() ? "the whole business" : "the line");
    said.put("words under texts", said(settings.serviceWords()));
    said.put("words under news and offers", said(settings.newsWords()));
    said.put("same text within", policy.sameTextWithin().toMinutes() + " minutes");
    said.put("night", policy.nightFrom() + " to " + policy.nightUntil());
    said.put("many customers", "from " + policy.manyRecipients());
    for (Reason reason : Reason.values()) {
      if (reason.isSettable()) {
        said.put(
            reason.code().replace('-', ' '), policy.of(reason).name().toLowerCase(Locale.ROOT));
      }
    }
    return said;
  }

  private static String said(Appended appended) {
    if (appended.words().isBlank()) {
      return "none";
    }
    String often = appended.days() == 0 ? "each time" : "once in " + appended.days() + " days";
    return "“" + appended.words() + "”, " + often;
  }

  private static String name(Language language) {
    return new Locale(language.name().toLowerCase(Locale.ROOT)).getDisplayLanguage(Locale.ENGLISH);
  }
}
