package fabulum.server.attachments;

/** Names an attachment. */
public record AttachmentId(long value) {}
