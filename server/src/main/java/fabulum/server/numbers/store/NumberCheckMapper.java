package fabulum.server.numbers.store;

import fabulum.server.numbers.Checker.Checked;
import fabulum.server.numbers.NumberCheck;
import fabulum.server.numbers.Setting;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** SQL for number checks. */
@Mapper
public interface NumberCheckMapper {
  /** A number that is to be asked about. */
  record DueRow(long numberId, String address, int tries, Instant nextAt) {}

  List<NumberCheck> list(List<Long> numberIds);

  /**
   * Numbers of customers that they have now, without those that were checked or are asked about.
   */
  List<Long> listUnchecked(List<Long> customerIds);

  /**
   * Numbers in open conversations to identify that were never asked about.
   *
   * @param conversations only in these; null for all
   */
  List<Long> listToIdentify(@Nullable List<Long> conversations, int limit);

  /** Is to be asked about; 0 when there is no row yet. */
  int want(long numberId, Instant at, boolean afterFailure);

  void insertWanted(long numberId, Instant at, boolean afterFailure);

  List<DueRow> listDue(Instant now, int limit);

  /** Takes a number for a while, so that nobody else asks; 0 when somebody else took it. */
  int claim(long numberId, Instant seen, Instant until);

  void setTries(long numberId, int tries, Instant nextAt);

  void keep(long numberId, Checked said, Instant at);

  Optional<Boolean> isAfterFailure(long numberId);

  Setting getSetting();

  void setSetting(Setting wanted);
}
