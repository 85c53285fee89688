package fabulum.server.templates;

import java.time.Instant;

/**
 * How a template read once, or reads now.
 *
 * @param by the name of who made it so
 */
public record VersionView(
    long version,
    String title,
    String shortName,
    String words,
    String folder,
    String language,
    String by,
    Instant at) {}
