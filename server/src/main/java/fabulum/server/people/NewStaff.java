package fabulum.server.people;

import fabulum.core.access.Role;

/** Someone to be taken on. {@code signInName} is compared without regard to case. */
public record NewStaff(
    String signInName,
    String name,
    String initials,
    Role role,
    String password,
    boolean mustChangePassword) {}
