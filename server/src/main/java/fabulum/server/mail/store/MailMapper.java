package fabulum.server.mail.store;

import fabulum.server.mail.StuckMail;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** Mail in the database. */
@Mapper
public interface MailMapper {

  boolean exists(String reference);

  void insert(String reference, String address, String subject, String words, Instant at);

  List<MailRow> listDue(Instant now, int limit);

  /**
   * Claims a mail that is due: until then no process takes it.
   *
   * @return 0 when another has it, or it was sent
   */
  int claim(long id, Instant now, Instant until);

  void sent(long id, Instant at);

  void failed(long id, Instant nextAt, String problem);

  int countStuck(int attempts);

  List<StuckMail> listStuck(int attempts, int limit);

  int sendAgain(long id, Instant at);
}
