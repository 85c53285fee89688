package fabulum.server.templates;

/** Names one template. */
public record TemplateId(long value) {}
