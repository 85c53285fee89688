package fabulum.server.attachments;

/** What came with a text is here now, or will not come. */
public record AttachmentFetched(AttachmentId id, long conversation, long entry) {}
