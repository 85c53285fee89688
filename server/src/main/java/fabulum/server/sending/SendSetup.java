package fabulum.server.sending;

import fabulum.core.sending.Reason;
import fabulum.core.sending.SendPolicy;
import fabulum.core.sending.Severity;
import fabulum.core.text.Language;
import fabulum.server.platform.BriefMemory;
import fabulum.server.platform.CachedSetUp;
import fabulum.server.sending.SendSettings.Appended;
import fabulum.server.sending.store.SendSettingsMapper;
import fabulum.server.sending.store.SendSettingsRow;
import fabulum.server.sending.store.SeverityRow;
import java.time.Duration;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** The settings about texts that go out. */
@Service
public class SendSetup implements CachedSetUp {
  private static final int MINUTES = 60;

  private final SendSettingsMapper settings;
  private final BriefMemory<SendSettings> now;

  SendSetup(SendSettingsMapper settings) {
    this.settings = settings;
    this.now = new BriefMemory<>(this::read);
  }

  /** As they are now; a change is in it a second later at most. */
  public SendSettings get() {
    return now.get();
  }

  /** As they are in the database. */
  public SendSettings read() {
    SendSettingsRow row = settings.get();
    Map<Reason, Severity> severities = new EnumMap<>(Reason.class);
    settings.listSeverities().forEach(each -> severities.put(each.reason(), each.severity()));
    return new SendSettings(
        row.business(),
        row.contact(),
        languages(row.languages()),
        row.stopEverywhere(),
        new Appended(row.serviceWords(), row.serviceDays()),
        new Appended(row.newsWords(), row.newsDays()),
        new SendPolicy(
            severities,
            Duration.ofMinutes(row.sameTextMinutes()),
            LocalTime.ofSecondOfDay((long) row.nightFromMinute() * MINUTES),
            LocalTime.ofSecondOfDay((long) row.nightUntilMinute() * MINUTES),
            row.manyRecipients()),
        row.version());
  }

  private static Set<Language> languages(String names) {
    return Arrays.stream(names.split(" "))
        .filter(name -> !name.isEmpty())
        .map(Language::valueOf)
        .collect(Collectors.toUnmodifiableSet());
  }

  /**
   * Changes them. To be used within a transaction.
   *
   * @return false when another person changed them since {@code wanted.version()}
   */
  public boolean change(SendSettings wanted) {
    SendPolicy policy = wanted.policy();
    int changed =
        settings.update(
            new SendSettingsRow(
                wanted.business(),
                wanted.contact(),
                wanted.languages().stream()
                    .sorted()
                    .map(Language::name)
                    .collect(Collectors.joining(" ")),
                wanted.stopEverywhere(),
                wanted.serviceWords().words(),
                wanted.serviceWords().days(),
                wanted.newsWords().words(),
                wanted.newsWords().days(),
                (int) policy.sameTextWithin().toMinutes(),
                policy.nightFrom().toSecondOfDay() / MINUTES,
                policy.nightUntil().toSecondOfDay() / MINUTES,
                policy.manyRecipients(),
                wanted.version()));
    if (changed == 0) {
      return false;
    }
    settings.deleteSeverities();
    policy
        .severities()
        .forEach((reason, severity) -> {
          if (severity != reason.usual()) {
            settings.insertSeverity(new SeverityRow(reason, severity));
          }
        });
    forget();
    return true;
  }

  @Override
  public void forget() {
    now.forget();
  }
}
