package fabulum.core.sending;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Sender;
import fabulum.core.sending.GroupDecision.Member;
import fabulum.core.sending.SendDecision.Verdict;
import fabulum.core.sending.SendQuestion.Allowance;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class GroupDecisionTest {
  private static final Sender ADA = new PhoneNumber("+13125550101");
  private static final Sender BEN = new PhoneNumber("+13125550102");
  private static final Sender CLEO = new PhoneNumber("+13125550103");

  private static Member member(Sender sender, String name, Reason... against) {
    Asking asking = new Asking();
    for (Reason reason : against) {
      asking.with(reason);
    }
    return new Member(sender, name, SendRules.decide(asking.question(), SendPolicy.USUAL));
  }

  private static GroupDecision decide(boolean first, Member... members) {
    return GroupDecision.of(List.of(members), first, List.of(), SendPolicy.USUAL);
  }

  private static List<String> sentences(GroupDecision decided) {
    return decided.decision().objections().stream().map(Objection::sentence).toList();
  }

  @Test
  void aTextToAGroupTakesPartsForEachNumberAndNothingSpeaksAgainstIt() {
    GroupDecision decided = decide(false, member(ADA, "Ada"), member(BEN, "Ben"));
    assertThat(decided.decision()).isEqualTo(new SendDecision(2, List.of()));
    assertThat(decided.reached()).containsExactly(ADA, BEN);
  }

  @Test
  void theFirstTextAsksWhetherAllShallSeeEachOther() {
    GroupDecision decided = decide(true, member(ADA, "Ada"), member(BEN, "Ben"));
    assertThat(sentences(decided))
        .containsExactly("This begins a group: all 2 see each other's numbers and texts.");
    assertThat(decided.decision().verdict()).isEqualTo(Verdict.NEEDS_CONFIRMATION);
    assertThat(decided.decision().verdict(Set.of(Reason.GROUP_BEGINS))).isEqualTo(Verdict.MAY_GO);
  }

  @ParameterizedTest
  @EnumSource(
      value = Reason.class,
      names = {
        "OPTED_OUT",
        "MARKED_WRONG",
        "NO_SUCH_NUMBER",
        "CANNOT_RECEIVE",
        "COUNTRY_NOT_REACHED"
      })
  void aNumberThatMayNotBeTextedIsLeftOutAndTheOthersGoOn(Reason reason) {
    GroupDecision decided =
        decide(false, member(ADA, "Ada"), member(BEN, "Ben", reason), member(CLEO, "Cleo"));
    assertThat(decided.reached()).containsExactly(ADA, CLEO);
    assertThat(decided.decision().parts()).isEqualTo(2);
    assertThat(decided.decision().verdict()).isEqualTo(Verdict.MAY_GO);
    assertThat(sentences(decided).get(0))
        .startsWith("Left out: Ben (")
        .endsWith("). The other 2 get it.");
  }

  @Test
  void whereNobodyIsLeftItMayNotGo() {
    GroupDecision decided =
        decide(
            false, member(ADA, "Ada", Reason.OPTED_OUT), member(BEN, "Ben", Reason.MARKED_WRONG));
    assertThat(decided.decision().verdict()).isEqualTo(Verdict.MAY_NOT_GO);
    assertThat(decided.reached()).isEmpty();
    assertThat(sentences(decided).get(0)).startsWith("Ada: The customer has opted out of texts.");
  }

  @Test
  void whatHoldsForAllIsSaidOnceAndWhatHoldsForSomeWithTheirNames() {
    GroupDecision decided =
        decide(
            false,
            member(ADA, "Ada", Reason.LINE_OFF, Reason.NIGHT),
            member(BEN, "Ben", Reason.LINE_OFF),
            member(CLEO, "Cleo", Reason.LINE_OFF, Reason.NIGHT));
    assertThat(sentences(decided))
        .containsExactly(
            "This line is switched off, so nothing can be sent.",
            "Ada and Cleo: It is 23:40 where the customer is.");
    assertThat(decided.decision().verdict()).isEqualTo(Verdict.MAY_NOT_GO);
  }

  @Test
  void allCopiesTogetherCountInAnAllowance() {
    Allowance two = new Allowance("Priya", "today", 10, 8);
    GroupDecision decided =
        GroupDecision.of(
            List.of(member(ADA, "Ada"), member(BEN, "Ben"), member(CLEO, "Cleo")),
            false,
            List.of(two),
            SendPolicy.USUAL);
    assertThat(sentences(decided))
        .containsExactly(
            "Priya has 2 parts left today, and this takes 3 parts. A lead can allow more.");
  }

  /** Who opted out is never reached, whatever is confirmed and whatever a lead has set. */
  @Test
  void whoOptedOutIsNeverReached() {
    SendPolicy policy = SendPolicy.USUAL;
    for (Reason other : EnumSet.range(Reason.MARKED_WRONG, Reason.CANNOT_RECEIVE)) {
      GroupDecision decided =
          GroupDecision.of(
              List.of(
                  member(ADA, "Ada", Reason.OPTED_OUT, other),
                  member(BEN, "Ben"),
                  member(CLEO, "Cleo", other)),
              true,
              List.of(),
              policy);
      assertThat(decided.reached()).containsExactly(BEN);
      assertThat(sentences(decided)).anyMatch(it -> it.endsWith("The other one gets it."));
    }
  }
}
