package fabulum.server.setup.web;

import fabulum.core.access.Act;
import fabulum.core.sending.Reason;
import fabulum.core.sending.SendPolicy;
import fabulum.core.sending.Severity;
import fabulum.core.text.Language;
import fabulum.core.text.OneLine;
import fabulum.server.access.Permits;
import fabulum.server.accounts.SignedIn;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.sending.SendSettings;
import fabulum.server.sending.SendSettings.Appended;
import fabulum.server.sending.SendSetup;
import fabulum.server.setup.Outcome;
import fabulum.server.setup.SendSetUp;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is asked before a text goes, as it is set up. */
@RestController
@RequestMapping("/api/setup/sending")
class SendSetUpController {
  private static final int MINUTES_OF_DAY = 24 * 60;

  private final SendSetUp setUp;
  private final SendSetup settings;
  private final Permits permits;

  SendSetUpController(SendSetUp setUp, SendSetup settings, Permits permits) {
    this.setUp = setUp;
    this.settings = settings;
    this.permits = permits;
  }

  /**
   * How much a reason weighs.
   *
   * @param code of the reason
   * @param severity what comes of it
   * @param choices what can come of it, the mildest first; not needed in a request
   */
  record ReasonMessage(
      @NotNull(message = "Say which reason.") String code,
      @NotNull(message = "Say what comes of it.") Severity severity,
      @NotNull(message = "Say what can come of it.") List<Severity> choices) {
    static ReasonMessage of(Reason reason, SendPolicy policy) {
      return new ReasonMessage(
          reason.code(),
          policy.of(reason),
          Arrays.stream(Severity.values())
              .filter(each -> SendPolicy.allows(reason, each))
              .toList());
    }
  }

  /**
   * Words that must stand under texts of a kind.
   *
   * @param words empty for none
   * @param days the number of days after which a number gets the words again; 0 for below every
   *     text
   */
  record AppendedMessage(
      @NotNull(message = "Say which words, or none.")
          @Size(max = 400, message = "Use at most 400 characters.")
          String words,
      @Min(value = 0, message = "0 to 365 days.") @Max(value = 365, message = "0 to 365 days.")
          int days) {
    static AppendedMessage of(Appended appended) {
      return new AppendedMessage(appended.words(), appended.days());
    }

    Appended appended() {
      return new Appended(words.strip(), days);
    }
  }

  /**
   * What is asked before a text goes.
   *
   * @param business the name under which customers know us, in the answers to STOP, START and HELP;
   *     empty for the name of the site
   * @param contact how else customers reach us, a sentence in the answer to HELP; empty for the
   *     number of the line
   * @param languages those besides English whose keywords count
   * @param stopEverywhere whether STOP holds for the whole business, or for the line it was sent to
   * @param serviceWords what must stand under answers and service texts
   * @param newsWords what must stand under news and offers
   * @param sameTextMinutes for how long the same text counts as sent a moment ago; 0 for never
   * @param nightFromMinute when the night begins where the customer is, in minutes of the day
   * @param nightUntilMinute when it ends
   * @param manyRecipients from how many customers on a text goes to many
   * @param reasons how much each reason weighs that can be set
   * @param version as it was read
   */
  record SendSettingsMessage(
      @NotNull(message = "Say the name, or nothing.")
          @Size(max = 80, message = "Use at most 80 characters.")
          String business,
      @NotNull(message = "Say how, or nothing.")
          @Size(max = 200, message = "Use at most 200 characters.")
          String contact,
      @NotNull(message = "Say which languages, or none.") Set<Language> languages,
      boolean stopEverywhere,
      @Valid @NotNull(message = "Say which words, or none.") AppendedMessage serviceWords,
      @Valid @NotNull(message = "Say which words, or none.") AppendedMessage newsWords,
      @Min(value = 0, message = "0 to 1440 minutes.")
          @Max(value = MINUTES_OF_DAY, message = "0 to 1440 minutes.")
          int sameTextMinutes,
      @Min(value = 0, message = "A time of the day.")
          @Max(value = MINUTES_OF_DAY - 1, message = "A time of the day.")
          int nightFromMinute,
      @Min(value = 0, message = "A time of the day.")
          @Max(value = MINUTES_OF_DAY - 1, message = "A time of the day.")
          int nightUntilMinute,
      @Min(value = 2, message = "2 to 10,000 customers.")
          @Max(value = 10_000, message = "2 to 10,000 customers.")
          int manyRecipients,
      @NotNull(message = "Say the reasons.") List<@Valid ReasonMessage> reasons,
      long version) {
    static SendSettingsMessage of(SendSettings settings) {
      SendPolicy policy = settings.policy();
      return new SendSettingsMessage(
          settings.business(),
          settings.contact(),
          settings.languages(),
          settings.stopEverywhere(),
          AppendedMessage.of(settings.serviceWords()),
          AppendedMessage.of(settings.newsWords()),
          (int) policy.sameTextWithin().toMinutes(),
          policy.nightFrom().toSecondOfDay() / 60,
          policy.nightUntil().toSecondOfDay() / 60,
          policy.manyRecipients(),
          Arrays.stream(Reason.values())
              .filter(Reason::isSettable)
              .map(reason -> ReasonMessage.of(reason, policy))
              .toList(),
          settings.version());
    }

    SendSettings settings() {
      List<FieldProblem> bad = new ArrayList<>();
      Stream.of(Map.entry("business", business), Map.entry("contact", contact))
          .forEach(each ->
              OneLine.objection(each.getValue())
                  .ifPresent(why -> bad.add(new FieldProblem(each.getKey(), why))));
      Map<Reason, Severity> severities = severities(bad);
      if (!bad.isEmpty()) {
        throw Problem.fields(bad);
      }
      return new SendSettings(
          business.strip(),
          contact.strip(),
          languages,
          stopEverywhere,
          serviceWords.appended(),
          newsWords.appended(),
          new SendPolicy(
              severities,
              Duration.ofMinutes(sameTextMinutes),
              LocalTime.ofSecondOfDay(nightFromMinute * 60L),
              LocalTime.ofSecondOfDay(nightUntilMinute * 60L),
              manyRecipients),
          version);
    }

    private Map<Reason, Severity> severities(List<FieldProblem> bad) {
      Map<Reason, Severity> severities = new EnumMap<>(Reason.class);
      for (ReasonMessage each : reasons) {
        Arrays.stream(Reason.values())
            .filter(reason -> reason.code().equals(each.code()))
            .findFirst()
            .filter(reason -> SendPolicy.allows(reason, each.severity()))
            .ifPresentOrElse(
                reason -> severities.put(reason, each.severity()),
                () ->
                    bad.add(new FieldProblem("reasons", "“" + each.code() + "” cannot be that.")));
      }
      return severities;
    }
  }

  /** What is asked before a text goes; for leads. */
  @GetMapping
  SendSettingsMessage read(@AuthenticationPrincipal SignedIn me) {
    permits.require(me.id(), Act.LEAD);
    return SendSettingsMessage.of(settings.read());
  }

  /** Changes what is asked before a text goes; for leads. */
  @Problems({Kind.CHANGED_MEANWHILE})
  @PutMapping
  Outcome set(
      @AuthenticationPrincipal SignedIn me, @Valid @RequestBody SendSettingsMessage wanted) {
    return setUp.set(wanted.settings(), me.id());
  }
}
