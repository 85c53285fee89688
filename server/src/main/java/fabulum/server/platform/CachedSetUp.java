package fabulum.server.platform;

/** Keeps set-up in memory that is read with every request. */
public interface CachedSetUp {
  /** Forgets what is kept, since it was changed; it is read again when it is next needed. */
  void forget();
}
