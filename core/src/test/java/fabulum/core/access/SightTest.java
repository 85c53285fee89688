package fabulum.core.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SightTest {
  private static final long ME = 1;

  private static OptionalLong maybe(long id) {
    return id == 0 ? OptionalLong.empty() : OptionalLong.of(id);
  }

  @Test
  void everythingIsAllLinesWithNothingHiddenOnAny() {
    assertThat(Sight.everything(ME).isEverything()).isTrue();
    assertThat(Sight.nothing(ME).isEverything()).isFalse();
    Sight narrowed = new Sight(ME, Optional.empty(), Set.of(11L), Set.of());
    assertThat(narrowed.isEverything()).isFalse();
  }

  /** I am in team 1; lines 10 and 11 are ours, 11 is narrowed; line 20 is another team's. */
  @ParameterizedTest
  @CsvSource({
    "10, 0, 0, true",
    "10, 2, 0, true",
    "11, 0, 0, true",
    "11, 1, 0, true",
    "11, 2, 0, false",
    "20, 0, 0, false",
    "20, 1, 0, false",
    "20, 0, 1, true",
    "20, 2, 1, true",
    "20, 0, 3, false",
    "11, 2, 1, false"
  })
  void oneSeesOnesTeamsLinesAndWhatWasHandedToThem(long line, long owner, long team, boolean seen) {
    Sight sight = new Sight(ME, Optional.of(Set.of(10L, 11L)), Set.of(11L), Set.of(1L));
    assertThat(sight.sees(new Spot(line, maybe(owner), maybe(team)))).isEqualTo(seen);
  }

  @Test
  void whoWasBroughtIntoOneConversationSeesThatOneAndNoOtherThere() {
    Sight sight = new Sight(ME, Optional.of(Set.of(10L)), Set.of(10L), Set.of(1L), Set.of(7L, 8L));
    Spot elsewhere = new Spot(20, OptionalLong.of(2), OptionalLong.empty(), 7);
    assertThat(sight.sees(elsewhere)).isTrue();
    assertThat(sight.isTheirs(elsewhere)).isFalse();
    assertThat(sight.sees(new Spot(20, OptionalLong.of(2), OptionalLong.empty(), 9))).isFalse();
    assertThat(sight.sees(new Spot(20, OptionalLong.of(2), OptionalLong.empty()))).isFalse();
    assertThat(sight.sees(new Spot(10, OptionalLong.of(2), OptionalLong.empty(), 8)))
        .as("also what is a colleague's on a narrowed line")
        .isTrue();
    assertThat(sight.seesLine(20)).isFalse();
  }

  @Test
  void everythingAndNothingAreWhatTheySay() {
    Spot spot = new Spot(10, OptionalLong.of(2), OptionalLong.empty());
    assertThat(Sight.everything(ME).sees(spot)).isTrue();
    assertThat(Sight.nothing(ME).sees(spot)).isFalse();
  }

  @ParameterizedTest
  @CsvSource({
    "LEAD,   '',                  'WORK LEAD'",
    "LEAD,   'TEXT EXPORT',       'WORK TEXT EXPORT LEAD'",
    "STAFF,  '',                  'WORK'",
    "STAFF,  'SEND_TO_MANY',      'WORK'",
    "STAFF,  'TEXT SEND_TO_MANY', 'WORK TEXT SEND_TO_MANY'",
    "STAFF,  'REMOVE_FOR_GOOD',   'WORK REMOVE_FOR_GOOD'",
    "VIEWER, '',                  ''",
    "VIEWER, 'TEXT EXPORT',       'EXPORT'",
    "VIEWER, 'CHANGE_TEMPLATES',  ''"
  })
  void whatOneMayDoIsTheRoleAndWhatWasGivenOnTop(Role role, String given, String acts) {
    Access access = new Access(role, permissions(given), true);
    assertThat(access.acts().stream().map(Act::name)).containsExactly(words(acts));
    assertThat(new Access(role, permissions(given), false).acts()).isEmpty();
  }

  private static String[] words(String words) {
    return words.isEmpty() ? new String[0] : words.split(" ");
  }

  private static Set<Permission> permissions(String given) {
    return Set.copyOf(java.util.Arrays.stream(words(given)).map(Permission::valueOf).toList());
  }

  @Test
  void aRefusalSaysWhoCanAllowIt() {
    assertThat(Access.refusal(Act.TEXT, List.of("Maren Oduya")))
        .isEqualTo("You may not text customers. Maren Oduya can allow it.");
    assertThat(Access.refusal(Act.EXPORT, List.of("A", "B", "C")))
        .isEqualTo("You may not export. A lead can allow it.");
  }
}
