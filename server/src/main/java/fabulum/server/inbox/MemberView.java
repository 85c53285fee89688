package fabulum.server.inbox;

import fabulum.core.sending.SendQuestion.NumberState;
import org.jspecify.annotations.Nullable;

/**
 * One number of a group.
 *
 * @param name whose it is, or the number
 * @param number as people at the line write it
 * @param address in E.164
 * @param customer who holds it; empty while to identify
 * @param optedOut gets no more texts of the group
 * @param state whether it can be reached
 */
public record MemberView(
    String name,
    String number,
    String address,
    @Nullable Long customer,
    boolean toIdentify,
    boolean optedOut,
    NumberState state) {}
