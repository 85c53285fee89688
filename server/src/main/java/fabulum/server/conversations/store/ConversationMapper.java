package fabulum.server.conversations.store;

import fabulum.core.conversation.Channel;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.SpokeLast;
import fabulum.server.customers.Match;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Conversations in the database. */
@Mapper
public interface ConversationMapper {

  Optional<Conversation> find(long id);

  /** In no promised order. */
  List<Conversation> listByIds(List<Long> ids);

  /** Holds the row until the transaction ends; read it afterwards. */
  Optional<Long> lock(long id);

  /** Holds the row until the transaction ends; read it afterwards. */
  Optional<Long> lockByParticipants(long lineId, Channel channel, String beganWith);

  long insert(
      long lineId,
      long numberId,
      Channel channel,
      String beganWith,
      Match match,
      StandingRow standing,
      String lastWords,
      SpokeLast lastSpeaker);

  void insertParticipant(long id, long numberId);

  void setStanding(long id, StandingRow standing);

  /** Keeps when the newest text came in. */
  void setHeard(long id, Instant at);

  void setLast(long id, Instant at, String words, SpokeLast speaker);

  void setOwner(long id, @Nullable Long staffId);

  void setTeam(long id, @Nullable Long teamId);

  /** The event of the last handing over that nobody has acted on; null for none. */
  void setHanded(long id, @Nullable Long entryId);

  void setStartedBy(long id, @Nullable Long staffId);

  /** Whose it is, and whether it is in a list. */
  void setMatch(long id, Match match);

  /** The numbers that take part in it. */
  List<Long> listParticipants(long id);

  /** The numbers of groups with their holders, by conversation and address. */
  List<MemberRow> listMembers(Collection<Long> ids);

  /** What the groups of a line began with in which a number takes part, the latest first. */
  List<String> listGroups(long lineId, Channel channel, String address);

  /** The groups in which a number takes part. */
  List<Long> listGroupsOf(long numberId);

  /**
   * Whether a text of ours was not delivered that nobody has dealt with, and why the last one was
   * not.
   */
  void setFailed(long id, boolean failed, @Nullable String reason);

  void nextVersion(long id);

  long getVersion(long id);

  /** Everyone who waits on us, also those set aside. */
  List<Conversation> listWaiting();

  /** Those set aside whose time has come. */
  List<Long> listReturning(Instant now, int limit);

  /** Those that the number takes part in. */
  List<Long> listByNumber(long numberId);

  /** The conversations of a customer, the latest first. */
  List<Long> listByCustomer(long customerId);

  List<TopicRow> listAllTopics();

  List<TopicRow> listTopics(List<Long> ids);

  void addTopic(long id, long topicId);

  int removeTopic(long id, long topicId);

  /** Gives all that have one topic the other as well. */
  void copyTopic(long from, long into);

  int nextVersionByTopic(long topicId);

  void dropTopic(long topicId);
}
