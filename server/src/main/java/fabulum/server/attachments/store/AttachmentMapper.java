package fabulum.server.attachments.store;

import fabulum.server.attachments.Attachment;
import fabulum.server.attachments.BegunPaper;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** The table of attachments. */
@Mapper
public interface AttachmentMapper {
  /** What is added; the answer is its id. */
  long insert(Attachment attachment, @Nullable Instant nextAt);

  Optional<Attachment> find(long id);

  /** What goes or came with texts, in order. */
  List<Attachment> listOfEntries(List<Long> entries);

  /** The newest that are here, of texts of these conversations. */
  List<Attachment> listNewest(List<Long> conversations, int limit);

  /** What someone has on papers, by conversation. */
  List<BegunPaper> listBegun(long staff);

  /** What people who have left have on papers in a conversation. */
  List<Attachment> listLeft(long conversation);

  /** What is on the paper of a person in a conversation. */
  List<Attachment> listOnPaper(long conversation, long staff);

  /** What goes with texts that wait for a second look. */
  List<Attachment> listOfLooks(List<Long> looks);

  /** The same place and order for what is on a paper; 0 when it is not there any more. */
  int putToEntry(long id, long staff, long entry, int place);

  int putToLook(long id, long staff, long look, int place);

  int putToPlanned(long id, long staff, long planned, int place);

  /** What goes with planned texts. */
  List<Attachment> listOfPlanned(List<Long> planned);

  /** Puts it on the paper of a person. */
  int takeFromPlanned(long planned, long staff);

  int takeFromEntry(long entry);

  int takeFromLook(long look);

  /** 0 when it is not on that person's paper. */
  int deleteFromPaper(long id, long staff);

  int setWords(long id, String words);

  /** 0 when it is not waited for any more. */
  int arrived(Attachment attachment);

  int tryAgain(long id, Instant nextAt);

  int missing(long id);

  int askAgain(long id, Instant nextAt);

  List<Attachment> listToFetch(Instant now, int limit);

  List<String> listContents(List<Long> conversations);

  void deleteOfConversations(List<Long> conversations);

  void deleteOfEntries(List<Long> entries);

  void deleteOfPlanned(long planned);

  boolean isUsed(String hash);

  /** Those of these hashes that some row names. */
  List<String> listUsed(List<String> hashes);

  /** Hashes that rows name, from one on, in their order. */
  List<String> listHashes(String after, int limit);
}
