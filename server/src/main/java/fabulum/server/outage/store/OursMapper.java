package fabulum.server.outage.store;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** Texts we have, by the network's names for them. */
@Mapper
public interface OursMapper {
  List<OursRow> list(List<String> networkIds);
}
