package fabulum.server.accounts;

import java.time.Duration;

/** What came of an attempt to sign in. */
public sealed interface SignIn {

  /** In. */
  record Welcome(SignedIn signedIn) implements SignIn {}

  /** Name and password do not go together; which of the two is wrong is not said. */
  record Wrong() implements SignIn {}

  /** Too many failures; not even looked at. */
  record SlowDown(Duration pause) implements SignIn {}
}
