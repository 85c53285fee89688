package fabulum.core.assignment;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.Rounds;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GivingOutTest {
  private static final long SEED = 20260609;

  private static Candidate in(long who, int waiting) {
    return new Candidate(who, true, waiting, OptionalInt.empty(), 0);
  }

  private static Candidate away(long who) {
    return new Candidate(who, false, 0, OptionalInt.empty(), 0);
  }

  private static Candidate full(long who) {
    return new Candidate(who, true, 3, OptionalInt.of(3), 0);
  }

  @ParameterizedTest
  @CsvSource({
    "NOBODY,        0, people take on this line",
    "IN_TURN,       1, in turn",
    "LEAST_WAITING, 2, 'least waiting, 1'",
    "LAST_OWNER,    3, had this customer last"
  })
  void eachWayChoosesByItsOwnRule(Way way, long who, String reason) {
    List<Candidate> candidates = List.of(in(1, 4), in(2, 1), in(3, 2));
    Given given = GivingOut.decide(way, candidates, OptionalLong.of(3));
    assertThat(given.reason()).isEqualTo(reason);
    assertThat(given instanceof Given.To to ? to.who() : 0).isEqualTo(who);
  }

  @Test
  void whoeverHadTheCustomerLastGetsItOnlyWhileTheyCan() {
    Given given =
        GivingOut.decide(Way.LAST_OWNER, List.of(away(1), in(2, 5), in(3, 4)), OptionalLong.of(1));
    assertThat(given)
        .isEqualTo(
            new Given.To(3, "the colleague who last had the customer cannot; least waiting, 4"));
    assertThat(GivingOut.decide(Way.LAST_OWNER, List.of(in(2, 0)), OptionalLong.empty()))
        .isEqualTo(new Given.To(2, "least waiting, 0"));
  }

  @Test
  void whenNobodyCanItSaysWhy() {
    assertThat(GivingOut.decide(Way.IN_TURN, List.of(), OptionalLong.empty()).reason())
        .isEqualTo("nobody may use this line");
    assertThat(GivingOut.decide(Way.IN_TURN, List.of(away(1)), OptionalLong.empty()).reason())
        .isEqualTo("nobody is in");
    assertThat(
            GivingOut.decide(Way.LEAST_WAITING, List.of(away(1), full(2)), OptionalLong.empty())
                .reason())
        .isEqualTo("everyone who is in has as much as they can");
  }

  /** A front office in which people come, go, and finish, and work is given out all the time. */
  private static final class Office {
    final Random random;
    final Way way;
    final List<Candidate> people = new ArrayList<>();
    long turn;

    Office(long seed, Way way, int size) {
      this.random = new Random(seed);
      this.way = way;
      for (int i = 0; i < size; i++) {
        boolean limited = random.nextInt(4) == 0;
        OptionalInt limit = limited ? OptionalInt.of(1 + random.nextInt(5)) : OptionalInt.empty();
        people.add(new Candidate(i, true, 0, limit, 0));
      }
    }

    Given give() {
      Given given = GivingOut.decide(way, List.copyOf(people), OptionalLong.empty());
      if (given instanceof Given.To to) {
        Candidate one = people.get((int) to.who());
        set(one.in(), one.waiting() + 1, ++turn, one);
      }
      return given;
    }

    void somethingHappens() {
      Candidate one = people.get(random.nextInt(people.size()));
      switch (random.nextInt(3)) {
        case 0 -> set(!one.in(), one.waiting(), one.lastTurn(), one);
        case 1 ->
            set(one.in(), Math.max(0, one.waiting() - 1 - random.nextInt(3)), one.lastTurn(), one);
        default -> {}
      }
    }

    private void set(boolean in, int waiting, long lastTurn, Candidate of) {
      people.set((int) of.who(), new Candidate(of.who(), in, waiting, of.limit(), lastTurn));
    }
  }

  @Test
  void inTurnTheCountsOfAnyTwoWhoAlwaysCouldDifferByAtMostOne() {
    for (int round = 0; round < Rounds.of(200); round++) {
      Office office = new Office(SEED + round, Way.IN_TURN, 2 + round % 9);
      int[] got = new int[office.people.size()];
      BitSet alwaysEligible = new BitSet();
      alwaysEligible.set(0, got.length);
      for (int i = 0; i < 300; i++) {
        office.somethingHappens();
        office.people.stream()
            .filter(one -> !one.isEligible())
            .forEach(one -> alwaysEligible.clear((int) one.who()));
        if (office.give() instanceof Given.To to) {
          got[(int) to.who()]++;
        }
        int most = alwaysEligible.stream().map(who -> got[who]).max().orElse(0);
        int least = alwaysEligible.stream().map(who -> got[who]).min().orElse(0);
        assertThat(most - least).as("seed %d, step %d", SEED + round, i).isLessThanOrEqualTo(1);
      }
    }
  }

  @Test
  void leastWaitingNeverGoesToOneWithMoreThanAnotherWhoCould() {
    for (int round = 0; round < Rounds.of(200); round++) {
      Office office = new Office(SEED - round, Way.LEAST_WAITING, 2 + round % 9);
      for (int i = 0; i < 300; i++) {
        office.somethingHappens();
        List<Candidate> before = List.copyOf(office.people);
        Given given = office.give();
        if (given instanceof Given.To to) {
          Candidate chosen =
              before.stream().filter(one -> one.who() == to.who()).findFirst().orElseThrow();
          assertThat(chosen.isEligible()).isTrue();
          assertThat(before.stream().filter(Candidate::isEligible))
              .as("seed %d, step %d", SEED - round, i)
              .noneMatch(other -> other.waiting() < chosen.waiting());
        } else {
          assertThat(before).noneMatch(Candidate::isEligible);
        }
      }
    }
  }
}
