package fabulum.server.templates.store;

/** A template in the database. */
public record TemplateRow(
    long id,
    String title,
    String shortName,
    String words,
    String folder,
    String language,
    boolean guarded,
    boolean retired,
    long version) {}
