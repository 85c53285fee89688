package fabulum.server.mail.store;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Mail in the database. */
@Mapper
public interface MailMapper {

  boolean exists(String reference);

  void insert(String reference, String address, String subject, String words, Instant at);

  List<MailRow> listDue(Instant now, int limit);

  void sent(long id, Instant at);

  void failed(long id, @Nullable Instant nextAt, String problem);
}
