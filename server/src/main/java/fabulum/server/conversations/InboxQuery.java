package fabulum.server.conversations;

import fabulum.core.conversation.Group;
import fabulum.server.lines.LineId;
import fabulum.server.people.StaffId;
import java.util.Optional;

/**
 * Which conversations.
 *
 * @param group where they stand
 * @param whose by owner
 * @param asking who asks, for {@link Whose#MINE}
 * @param line on this line only
 * @param toIdentify only those to identify
 */
public record InboxQuery(
    Group group, Whose whose, StaffId asking, Optional<LineId> line, boolean toIdentify) {

  /** A choice by owner. */
  public enum Whose {
    EVERYONE,
    MINE,
    NOBODY
  }
}
