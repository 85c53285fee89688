package fabulum.server.attachments.store;

import fabulum.server.attachments.KeptFile;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** The table of kept files. */
@Mapper
public interface KeptFileMapper {
  long insert(KeptFile file);

  Optional<KeptFileRow> find(long id);

  /** All of the shelf, those that are retired last. */
  List<KeptFileRow> listShelf();

  /** Those of a customer and of all who were joined to them, the newest first. */
  List<KeptFileRow> listOfCustomer(long customer);

  List<LineRow> listLines();

  /** 0 when it was changed since. */
  int update(long id, String title, boolean retired, long version);

  /** Whether a job is the customer's, or of somebody who was joined to the same. */
  boolean isJobOf(long job, long customer);

  /** 0 when there is no such file of a customer. */
  int setJob(long id, @Nullable Long job);

  void deleteLines(long file);

  void insertLine(long file, long line);

  int deleteOfCustomer(long id);

  List<String> listContents(List<Long> customers);

  void deleteOfCustomers(List<Long> customers);

  /** A line from which a file is offered. */
  record LineRow(long keptFileId, long lineId) {}
}
