package fabulum.server.customers.store;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** SQL for joining customers. */
@Mapper
public interface JoinMapper {
  List<Long> lock(List<Long> ids);

  List<Long> listNumbers(long customerId);

  void remember(long act, Owned owned, long gone);

  void move(Owned owned, long gone, long stays);

  /** Remembers the things that only the one who goes has. */
  void rememberSingle(long act, Single single, long gone, long stays);

  void moveSingle(long act, Single single, long gone, long stays);

  int fill(FilledField filled, long gone, long stays);

  void rememberFilled(long act, FilledField filled);

  void setJoined(long gone, long stays, long act);

  int countRelying(long act, long stays);

  long getGone(long act);

  void moveBack(long act, Owned owned, long gone);

  void moveSingleBack(long act, Single single, long gone, long stays);

  /** Empties a field that was filled and still says the same. */
  void unfill(long act, FilledField filled, long gone, long stays);

  void forget(long act);

  void setApart(long act);
}
