package fabulum.server.removal.store;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** SQL for removing customers for good. */
@Mapper
public interface RemovalMapper {
  /** A number of theirs. */
  record NumberRow(long id, String address, boolean shared) {}

  /** A text that came from a number. */
  record TextRow(long id, long conversationId, Instant at) {}

  /** A customer and all who were joined into them. */
  List<Long> listJoined(long customerId);

  /** The numbers they have or had; shared where somebody else has or had them too. */
  List<NumberRow> listNumbers(List<Long> customers);

  /** Conversations with these numbers alone. */
  List<Long> listConversations(List<Long> numbers);

  /** Conversations of groups in which these numbers are. */
  List<Long> listGroups(List<Long> numbers);

  /** Texts that came from a number, in conversations that stay. */
  List<TextRow> listTexts(long numberId);

  int countTexts(List<Long> conversations);

  int countWork(List<Long> customers);

  // What hangs on conversations that are removed.

  void deleteMentions(List<Long> conversations);

  void deleteNotesBefore(List<Long> conversations);

  void deleteOutbox(List<Long> conversations);

  void deleteUnreported(List<Long> conversations);

  void deleteAppended(List<Long> conversations);

  void deletePastTexts(List<Long> conversations);

  void deleteDrafts(List<Long> conversations);

  void deleteToDos(List<Long> conversations);

  void deleteSecondLooks(List<Long> conversations);

  /** What was handed in by forms of the web site for a number. */
  void deleteEnquiries(String address);

  void deleteEnquiryCodes(String address);

  void deletePlannedRuns(List<Long> conversations);

  void deletePlanned(List<Long> conversations);

  void deleteNotices(List<Long> conversations);

  void deleteUndoSteps(List<Long> conversations);

  void deleteTopics(List<Long> conversations);

  void deleteSeen(List<Long> conversations);

  void clearBatchItems(List<Long> conversations);

  void clearEntries(List<Long> conversations);

  void clearConversation(long id, String removed);

  // Texts in conversations that stay.

  void setWords(List<Long> entries, String words);

  void setLastWords(List<Long> conversations, String words);

  // What is on file.

  void deleteAsks(List<Long> customers, List<Long> numbers);

  void deleteHoldingEnds(List<Long> customers);

  void deleteHoldings(List<Long> customers);

  void deleteSaid(List<Long> customers);

  void deleteNotForUs(List<Long> numbers);

  void clearActs(List<Long> customers, List<Long> numbers, Instant at, @Nullable Long staffId);

  void deleteFile(List<Long> customers);

  void deleteWork(List<Long> customers);

  void deleteChanges(List<Long> customers);

  void clearHolder(List<Long> customers);

  void deleteCustomers(List<Long> customers);

  void deleteMail(List<String> addresses);

  List<String> listMailAddresses(List<Long> customers);

  void deleteKeptAside(String address);

  // Numbers.

  void keepAgreement(long numberId, String fingerprint);

  void deleteAgreement(List<Long> numbers);

  void deleteChecks(List<Long> numbers);

  void clearNumber(long numberId);

  void restoreAgreement(long numberId, String fingerprint);
}
