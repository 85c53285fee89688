package fabulum.core.identify;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.identify.Profile.Detail;
import fabulum.core.identify.Profile.Held;
import fabulum.core.identify.Twins.Reason;
import fabulum.core.phone.PhoneNumber;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TwinsTest {
  private static final Instant NOW = Instant.parse("2026-06-09T19:05:00Z");

  @ParameterizedTest
  @CsvSource({
    "Bob Marsh, Robert Marsh",
    "Marsh Robert, Bob Marsh",
    "R. Marsh, Robert Marsh",
    "Robert Marsh, Robert J. Marsh",
    "Katharina Lindqvist, Katarina Lindqvist",
    "Véra Lund, Vera Lund",
    "Ole Sørensen, Ole Sorensen",
    "Liz Okonkwo, Elizabeth Okonkwo"
  })
  void nearNamesMayBeOnePerson(String one, String other) {
    assertThat(Twins.areNear(one, other)).isTrue();
    assertThat(Twins.areNear(other, one)).isTrue();
    Twins.Name first = Twins.Name.of(one);
    Twins.Name second = Twins.Name.of(other);
    assertThat(first.keys()).containsAnyElementsOf(second.sought(true));
    assertThat(second.keys()).containsAnyElementsOf(first.sought(true));
  }

  @ParameterizedTest
  @CsvSource({
    "Ada Marsh, Ben Marsh",
    "Anna Marsh, Robert Marsh",
    "Robert Marsh, Robert Moss",
    "Dan Lee, Don Lee",
    "R. M., Robert Marsh",
    "Marsh, Robert Marsh"
  })
  void otherNamesAreOtherPeople(String one, String other) {
    assertThat(Twins.areNear(one, other)).isFalse();
    assertThat(Twins.areNear(other, one)).isFalse();
  }

  private static Profile profile(
      String name, @Nullable String email, String number, Optional<Instant> until, String boat) {
    return new Profile(
        1,
        name,
        List.of(),
        Optional.ofNullable(email),
        Optional.empty(),
        List.of(new Held(new PhoneNumber(number), Optional.empty(), until)),
        List.of(new Detail("Boat", boat)),
        List.of(),
        List.of(),
        List.of(),
        List.of());
  }

  @Test
  void allThatSpeaksForItIsSaid() {
    Profile bob = profile("Bob Marsh", "bob@x.example", "+19205550134", Optional.empty(), "Tansy");
    Profile robert =
        profile("Robert Marsh", "BOB@x.example", "+19205550134", Optional.empty(), "Tansy");
    assertThat(Twins.of(bob, robert, NOW))
        .containsExactly(
            Reason.NEAR_NAME, Reason.SAME_NUMBER, Reason.SAME_MAIL, Reason.SAME_DETAIL);
    assertThat(Twins.of(bob, bob, NOW)).contains(Reason.SAME_NAME);
  }

  @Test
  void aHouseholdIsNotOneCustomer() {
    Profile ada = profile("Ada Marsh", "m@x.example", "+19205550134", Optional.empty(), "Tansy");
    Profile ben = profile("Ben Marsh", "m@x.example", "+19205550134", Optional.empty(), "Tansy");
    assertThat(Twins.of(ada, ben, NOW)).isEmpty();
  }

  @Test
  void aNumberThatWasGivenUpSaysNothing() {
    Profile then =
        profile("Bob Marsh", null, "+19205550134", Optional.of(NOW.minusSeconds(60)), "Tansy");
    Profile now = profile("Bob Marsh", null, "+19205550134", Optional.empty(), "Heron");
    assertThat(Twins.of(then, now, NOW)).containsExactly(Reason.SAME_NAME);
  }
}
