package fabulum.server.sending.store;

import fabulum.server.sending.NotedChange;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** What the holders of numbers allow. */
@Mapper
public interface AgreementMapper {
  void insert(NotedChange change);

  /** All that was noted of numbers of which something was withdrawn, in order. */
  List<NotedChange> listWithdrawn();

  /** All that was noted of numbers of which an agreement to news was, in order. */
  List<NotedChange> listOfNews();

  /** In the order in which they were noted. */
  List<NotedChange> list(long numberId);

  /** Keeps two changes of one number apart until the end of the transaction. */
  long lock(long numberId);
}
