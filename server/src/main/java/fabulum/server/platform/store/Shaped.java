package fabulum.server.platform.store;

import org.jspecify.annotations.Nullable;

/** A parameter of a statement that is worded by {@link TextByShape}. */
public interface Shaped {
  /**
   * All of it that decides how the statement is worded; parameters of equal shapes differ in what
   * is bound only.
   *
   * @return null where the statement is to be worded for this one alone
   */
  @Nullable Object shape();
}
