package fabulum.server.customers.store;

import fabulum.server.customers.Changer;
import fabulum.server.customers.CustomerFile.Contact;
import fabulum.server.customers.CustomerFile.Field;
import fabulum.server.customers.CustomerFile.Fields;
import fabulum.server.customers.CustomerFile.FileChange;
import fabulum.server.customers.CustomerFile.FileDetail;
import fabulum.server.customers.CustomerFile.FileNote;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** SQL for what is on file of one customer. */
@Mapper
public interface CustomerFileMapper {
  long insert(String name);

  Optional<Fields> findFields(long id);

  /** Holds a customer until the transaction ends. */
  Optional<Long> lock(long id);

  /** Whom an outside id names, also one who was joined. */
  Optional<Long> findByOutsideId(String outsideId);

  /** Those with an outside id behind one, in its order. */
  List<Long> listByOutsideId(String after, int limit);

  List<Contact> listContacts(long id);

  List<FileDetail> listDetails(long id);

  List<FileNote> listNotes(long id);

  /** Changes of fields and what was said of numbers, the newest first. */
  List<FileChange> listChanges(long id, int limit);

  List<String> listKinds();

  /** Sets a field that still says what it said, unless the customer was joined. */
  int setWords(long id, Field field, @Nullable String was, @Nullable String now);

  int setSite(long id, @Nullable Long was, @Nullable Long now);

  Optional<String> findDetail(long id, long kindId);

  void deleteDetail(long id, long kindId);

  void insertDetail(long id, long kindId, String words);

  void insertContact(long id, String name);

  void deleteContact(long id, long contact);

  void insertNote(long id, String words, Instant at, long staffId);

  void updateNote(long note, String words, Instant at, long staffId);

  void deleteNote(long note);

  void insertChange(
      long id,
      Instant at,
      Changer by,
      String what,
      @Nullable String before,
      @Nullable String after);
}
