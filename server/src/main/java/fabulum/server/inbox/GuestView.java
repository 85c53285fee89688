package fabulum.server.inbox;

import fabulum.server.people.StaffView;

/**
 * A colleague who was brought in.
 *
 * @param by the name of who brought them in
 */
public record GuestView(StaffView staff, String by, boolean mayAnswer) {}
