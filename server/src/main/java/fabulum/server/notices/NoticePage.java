package fabulum.server.notices;

import java.util.List;

/**
 * A person's notices, the newest first.
 *
 * @param unseen how many of them have not been seen
 */
public record NoticePage(List<NoticeView> notices, int unseen) {
  public NoticePage {
    notices = List.copyOf(notices);
  }
}
