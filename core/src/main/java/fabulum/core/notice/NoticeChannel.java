package fabulum.core.notice;

/** How someone is told. */
public enum NoticeChannel {
  /** In the application's own list, and counted in its masthead. */
  HERE,
  /** By a notification of the desktop, while the application is open somewhere. */
  DESKTOP,
  /** By a short sound. */
  SOUND,
  /** By mail. */
  MAIL
}
