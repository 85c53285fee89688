package fabulum.server.templates;

/**
 * A template that probably answers what was asked.
 *
 * @param why it is suggested, in a few words
 * @param percent how likely it is that it fits, 0 to 100
 */
public record SuggestedTemplate(OfferedTemplate template, String why, int percent) {}
