package fabulum.core.notice;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.attendance.Presence;
import fabulum.core.attendance.Presence.Why;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import org.junit.jupiter.api.Test;

class ReceiversTest {
  private static final Presence IN =
      new Presence(true, Why.ALWAYS, Optional.empty(), OptionalLong.empty());

  private static Presence away(long cover) {
    OptionalLong who = cover == 0 ? OptionalLong.empty() : OptionalLong.of(cover);
    return new Presence(false, Why.DATES, Optional.empty(), who);
  }

  private static Set<Long> told(Map<Long, Presence> presences, Set<Long> blind, Long... meant) {
    return Receivers.of(
        List.of(meant), who -> presences.getOrDefault(who, IN), who -> !blind.contains(who));
  }

  @Test
  void whoIsInIsToldThemselves() {
    assertThat(told(Map.of(), Set.of(), 1L, 2L)).containsExactly(1L, 2L);
  }

  @Test
  void theCoverOfWhoIsAwayIsToldInstead() {
    assertThat(told(Map.of(1L, away(3)), Set.of(), 1L, 2L)).containsExactly(3L, 2L);
    assertThat(told(Map.of(1L, away(3), 3L, away(4)), Set.of(), 1L)).containsExactly(4L);
  }

  @Test
  void nobodyIsToldTwice() {
    assertThat(told(Map.of(1L, away(2)), Set.of(), 1L, 2L)).containsExactly(2L);
  }

  @Test
  void withoutACoverOrInACircleNobodyIsTold() {
    assertThat(told(Map.of(1L, away(0)), Set.of(), 1L)).isEmpty();
    assertThat(told(Map.of(1L, away(2), 2L, away(1)), Set.of(), 1L)).isEmpty();
  }

  @Test
  void whoDoesNotSeeItIsNeverToldOfIt() {
    assertThat(told(Map.of(), Set.of(1L), 1L, 2L)).containsExactly(2L);
    assertThat(told(Map.of(2L, away(1)), Set.of(1L), 2L)).isEmpty();
  }

  @Test
  void everyKindIsToldSomehowUnlessSomebodyChoosesOtherwise() {
    for (Kind kind : Kind.values()) {
      assertThat(kind.usual()).contains(NoticeChannel.HERE);
    }
  }
}
