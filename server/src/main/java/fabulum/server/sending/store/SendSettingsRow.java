package fabulum.server.sending.store;

/**
 * What a lead has set about texts that go out, as the table has it.
 *
 * @param languages names of {@link fabulum.core.text.Language}, with spaces between
 * @param nightFromMinute minute of the day
 */
public record SendSettingsRow(
    String business,
    String contact,
    String languages,
    boolean stopEverywhere,
    String serviceWords,
    int serviceDays,
    String newsWords,
    int newsDays,
    int sameTextMinutes,
    int nightFromMinute,
    int nightUntilMinute,
    int manyRecipients,
    long version) {}
