package fabulum.server.sending.store;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** What a lead has set about texts that go out. */
@Mapper
public interface SendSettingsMapper {
  SendSettingsRow get();

  List<SeverityRow> listSeverities();

  /** Returns 0 when it has been changed since {@code row.version()}. */
  int update(SendSettingsRow row);

  void deleteSeverities();

  void insertSeverity(SeverityRow row);
}
