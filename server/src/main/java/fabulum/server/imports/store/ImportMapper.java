package fabulum.server.imports.store;

import fabulum.core.imports.Subject;
import fabulum.server.customers.CustomerFile.Field;
import fabulum.server.imports.ImportState;
import fabulum.server.imports.ImportView;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** SQL for imports. */
@Mapper
public interface ImportMapper {
  /** A number that a customer has now. */
  record HeldRow(String address, long customerId) {}

  /** What a title of a column was matched with before. */
  record MatchingRow(String title, String target) {}

  /**
   * Something that an import changed.
   *
   * @param kind a {@link Field}, or DETAIL, CONTACT, NOTE, LIST
   * @param ref the id of the detail's kind, contact, note or list; 0 for fields
   */
  record ChangeRow(
      long id,
      long customerId,
      String kind,
      long ref,
      @Nullable String before,
      @Nullable String after) {}

  List<HeldRow> listHeld();

  List<MatchingRow> listMatchings();

  void deleteMatching(String title);

  void insertMatching(String title, String target);

  long insert(String fileName, long staffId, Instant at);

  Optional<ImportView> find(long id);

  /** The newest first. */
  List<ImportView> list(int limit);

  /** Goes from one state to another; 0 when it was in another one. */
  int setState(long id, ImportState from, ImportState to, Instant at);

  void setBegun(long id, Subject subject, long act, int total);

  void setProgress(long id, int done, int added, int changed);

  void setWhy(long id, String why);

  void clearFileNames(String pattern);

  void delete(long id);

  /** Handed in before then and never taken. */
  List<Long> listLeft(Instant before);

  long insertCustomer(
      String name,
      @Nullable String email,
      @Nullable String kind,
      @Nullable Long siteId,
      @Nullable String outsideId,
      @Nullable String language,
      long act);

  long insertContact(long customerId, String name);

  long insertNote(long customerId, String words, Instant at, long staffId);

  void insertDetail(long customerId, long kindId, String words);

  /**
   * @param details not empty
   */
  void insertDetails(long customerId, Map<Long, String> details);

  /** Remembers all details of a customer who was made just now. */
  void insertChangesOfDetails(long act, long customerId);

  int updateDetail(long customerId, long kindId, String words);

  int putOnList(long customerId, long listId);

  void insertChange(
      long act,
      long customerId,
      String kind,
      long ref,
      @Nullable String before,
      @Nullable String after);

  int setField(long customerId, Field field, @Nullable String was, @Nullable String now);

  int setSite(long customerId, @Nullable Long was, @Nullable Long now);

  /** The last changes of an act that can be and are not yet taken back, the newest first. */
  List<ChangeRow> listChanges(long act, int limit);

  void deleteChange(long id);

  /** From an id on. */
  void deleteChanges(long act, long from);

  int deleteDetail(long customerId, long kindId, String words);

  int restoreDetail(long customerId, long kindId, String was, String now);

  void deleteContact(long id);

  void deleteNote(long id, String words);

  void deleteFromList(long customerId, long listId);

  /** Customers that an act made. */
  List<Long> listMade(long act);

  /** Numbers that an act gave to somebody. */
  List<Long> listNumbers(long act);

  /** What an act made of who holds a number, as far as it can be taken back. */
  List<Long> listHoldings(long act, long numberId);

  void deleteEnds(long holdingId);

  void deleteHolding(long holdingId);

  /** Deletes a customer that an act made, unless something else speaks of them by now. */
  int deleteUnspoken(long act, long id);

  /**
   * Customers who stay when all that can be taken back was: whom it made, and of whom changes are
   * left.
   */
  int countStaying(long act);

  /** Forgets the changes that are left of an act. */
  void forgetChanges(long act);
}
