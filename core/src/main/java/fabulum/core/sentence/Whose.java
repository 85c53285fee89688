package fabulum.core.sentence;

/**
 * A choice by owner.
 *
 * @param id of the team or colleague for {@link Kind#TEAM} and {@link Kind#COLLEAGUE}, else 0
 */
public record Whose(Kind kind, long id) {
  /** Nobody is left out. */
  public static final Whose EVERYONE = new Whose(Kind.EVERYONE, 0);

  /** What I own, and what I started that nobody owns. */
  public static final Whose MINE = new Whose(Kind.MINE, 0);

  /** What has no owner. */
  public static final Whose NOBODY = new Whose(Kind.NOBODY, 0);

  /** Kinds of choice by owner. */
  public enum Kind {
    EVERYONE,
    MINE,
    NOBODY,
    /** On a line of that team, no matter who owns it. */
    TEAM,
    /** Owned by that colleague. */
    COLLEAGUE
  }

  public Whose {
    boolean named = kind == Kind.TEAM || kind == Kind.COLLEAGUE;
    if (named != id > 0) {
      throw new IllegalArgumentException("Only a team or a colleague is named by a number");
    }
  }

  /** On a line of this team. */
  public static Whose team(long id) {
    return new Whose(Kind.TEAM, id);
  }

  /** Owned by this colleague. */
  public static Whose colleague(long id) {
    return new Whose(Kind.COLLEAGUE, id);
  }
}
