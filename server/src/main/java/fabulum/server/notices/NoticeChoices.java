package fabulum.server.notices;

import fabulum.core.notice.Kind;
import fabulum.core.notice.NoticeChannel;
import fabulum.server.access.StaffId;
import fabulum.server.notices.store.ChosenRow;
import fabulum.server.notices.store.NoticeMapper;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How each person wants to be told of what. */
@Service
public class NoticeChoices {
  private final NoticeMapper notices;

  NoticeChoices(NoticeMapper notices) {
    this.notices = notices;
  }

  /** How someone is told of each kind: as they chose, else as is usual. */
  public Map<Kind, Set<NoticeChannel>> of(StaffId who) {
    Map<Kind, Set<NoticeChannel>> chosen = new EnumMap<>(Kind.class);
    for (Kind kind : Kind.values()) {
      chosen.put(kind, EnumSet.copyOf(kind.usual()));
    }
    for (ChosenRow row : notices.listChosen(who.value())) {
      Set<NoticeChannel> channels = chosen.getOrDefault(row.kind(), Set.of());
      if (row.chosen()) {
        channels.add(row.channel());
      } else {
        channels.remove(row.channel());
      }
    }
    return chosen;
  }

  /** Chooses whether the signed-in person is told of something in some way. */
  @Transactional
  public void choose(StaffId me, Kind kind, NoticeChannel channel, boolean wanted) {
    notices.choose(me.value(), kind, channel, wanted);
  }
}
