package fabulum.server.conversations.store;

import org.jspecify.annotations.Nullable;

/** A number of a group with one of its holders; without any, both are empty. */
public record MemberRow(
    long conversationId,
    long numberId,
    String address,
    @Nullable Long customerId,
    @Nullable String name) {}
