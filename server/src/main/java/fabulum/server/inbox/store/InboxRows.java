package fabulum.server.inbox.store;

import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationRows;
import fabulum.server.platform.Columns;
import fabulum.server.platform.RowHandler;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.type.MappedTypes;
import org.springframework.stereotype.Component;

/** Reads rows of a list in the order of the columns that InboxMapper.xml gives. */
@Component
@MappedTypes(InboxRow.class)
public class InboxRows extends RowHandler<InboxRow> {

  @Override
  protected InboxRow read(Columns row) throws SQLException {
    Conversation conversation = ConversationRows.conversation(row);
    Instant at = row.instant();
    Instant seen = row.instantOrNull();
    Long topic = row.numberOrNull();
    return new InboxRow(conversation, at, seen, topic == null ? List.of() : List.of(topic));
  }
}
