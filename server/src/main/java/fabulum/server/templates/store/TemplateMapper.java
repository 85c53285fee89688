package fabulum.server.templates.store;

import fabulum.server.conversations.SightColumns;
import fabulum.server.templates.Link;
import fabulum.server.templates.VersionView;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Templates in the database. */
@Mapper
public interface TemplateMapper {
  List<TemplateRow> list();

  List<ScopeRow> listScopes();

  /**
   * Adds a template.
   *
   * @param shortKey null while it has no short name, or is retired
   */
  long insert(TemplateRow template, @Nullable String shortKey);

  /** How many were changed: none when it is no longer in the version that was seen. */
  int update(TemplateRow template, @Nullable String shortKey, long seen);

  void deleteScopes(long id);

  void insertScope(ScopeRow scope);

  void keepVersion(long id, long by, Instant at);

  List<VersionView> listVersions(long id);

  Optional<VersionView> findVersion(long id, long version);

  List<Long> listFavourites(long staffId);

  void addFavourite(long staffId, long id);

  void removeFavourite(long staffId, long id);

  /** Templates a person used last, the latest first. */
  List<Long> listUsedBy(long staffId, Instant since, int limit);

  void insertUse(long entryId, long templateId, long staffId, Instant at);

  /** How often a template was used in conversations that are seen. */
  int countUses(long templateId, SightColumns sight);

  /** The latest uses in conversations that are seen, the latest first. */
  List<UseRow> listUses(long templateId, int limit, SightColumns sight);

  List<Link> listLinks();

  long insertLink(String name, String nameKey, String address);

  int updateLink(long id, String name, String nameKey, String address);

  int deleteLink(long id);

  /** The latest conversations that are open, seen, and with a known customer. */
  List<Long> listSamples(SightColumns sight, int limit);

  /** Answers of people, the latest first; what was sent to many at once answers nobody. */
  List<AnswerRow> listAnswers(long after, int limit);

  Optional<AnswerRow> findAnswer(long id);

  /** What a customer said since the last answer before an entry, the latest first. */
  List<String> listAsked(long conversationId, long before);

  boolean suggests();

  void setSuggests(boolean on);
}
