package fabulum.server.conversations;

import fabulum.core.conversation.Back;
import fabulum.core.conversation.Channel;
import fabulum.core.conversation.Group;
import fabulum.core.conversation.Turn;
import fabulum.server.platform.Columns;
import fabulum.server.platform.RowHandler;
import java.sql.SQLException;
import org.apache.ibatis.type.MappedTypes;
import org.springframework.stereotype.Component;

/**
 * Reads conversations in the order of the columns that {@code columns} in ConversationMapper.xml
 * gives.
 */
@Component
@MappedTypes(Conversation.class)
public class ConversationRows extends RowHandler<Conversation> {

  @Override
  protected Conversation read(Columns row) throws SQLException {
    return conversation(row);
  }

  /** A conversation whose columns come next. */
  public static Conversation conversation(Columns row) throws SQLException {
    return new Conversation(
        row.number(),
        row.number(),
        row.number(),
        row.words(),
        row.constant(Channel.class),
        row.words(),
        row.numberOrNull(),
        row.wordsOrNull(),
        row.numberOrNull(),
        row.numberOrNull(),
        row.numberOrNull(),
        row.numberOrNull(),
        row.constant(Group.class),
        row.flag(),
        row.constant(Turn.class),
        row.instant(),
        row.instant(),
        row.instantOrNull(),
        row.constantOrNull(Back.class),
        row.instantOrNull(),
        row.instant(),
        row.flag(),
        row.flag(),
        row.instant(),
        row.words(),
        row.constant(SpokeLast.class),
        row.flag(),
        row.wordsOrNull(),
        row.number());
  }
}
