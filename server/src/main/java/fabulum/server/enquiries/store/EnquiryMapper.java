package fabulum.server.enquiries.store;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Forms, enquiries and the codes that were sent. */
@Mapper
public interface EnquiryMapper {
  List<FormRow> listForms();

  Optional<FormRow> findForm(String address);

  Optional<FormRow> getForm(long id);

  long insertForm(FormRow form);

  /** Changes it where it is still of this version. */
  int updateForm(FormRow form);

  List<Long> listLines(long formId);

  void deleteLines(long formId);

  void insertLine(long formId, long lineId);

  Optional<EnquiryRow> find(String reference);

  /** Holds it until the end of the transaction. */
  Optional<EnquiryRow> lock(String reference);

  void insert(EnquiryRow enquiry);

  void setCode(long id, @Nullable String code, @Nullable Instant until);

  void countTry(long id);

  void setTaken(long id, Instant at, @Nullable Long conversation);

  int countCodes(String number, Instant since);

  void insertCode(String number, Instant at);

  void deleteCodesBefore(Instant at);

  /** Those that nobody confirmed. */
  void deleteWaitingBefore(Instant at);
}
