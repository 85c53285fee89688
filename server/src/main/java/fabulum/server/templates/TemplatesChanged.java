package fabulum.server.templates;

/** Templates, or the links they point to, were changed. Told within the transaction. */
public record TemplatesChanged() {}
