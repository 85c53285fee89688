package fabulum.server.topics.store;

import fabulum.server.topics.TopicSetup;
import fabulum.server.topics.TopicView;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Topics in the database. */
@Mapper
public interface TopicMapper {

  List<TopicView> list();

  long insert(long teamId, TopicSetup topic, String name);

  /** How many were changed: none when the topic is no longer in the state that was seen. */
  int update(long id, TopicSetup topic, String name, @Nullable Long seen);

  void setMergedInto(long id, long into);

  /** What pointed at one points at the other. */
  void follow(long from, long into);
}
