package fabulum.server.notices;

/** Names one notice. */
public record NoticeId(long value) {}
