package fabulum.core.sending;

import static fabulum.core.sending.Severity.IGNORE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.core.Rounds;
import fabulum.core.agreement.TextKind;
import fabulum.core.sending.SendDecision.Verdict;
import fabulum.core.sending.SendQuestion.Allowance;
import fabulum.core.sending.SendQuestion.Attachment;
import fabulum.core.sending.SendQuestion.Content;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class SendRulesTest {
  @Test
  void nothingSpeaksAgainstAnOrdinaryAnswer() {
    SendDecision decision = SendRules.decide(new Asking().question(), SendPolicy.USUAL);
    assertThat(decision).isEqualTo(new SendDecision(1, List.of()));
    assertThat(decision.verdict()).isEqualTo(Verdict.MAY_GO);
  }

  @ParameterizedTest
  @EnumSource(
      value = Reason.class,
      mode = EnumSource.Mode.EXCLUDE,
      names = {"GROUP_BEGINS", "NOT_ALL_REACHED"})
  void eachReasonIsFoundByItself(Reason reason) {
    SendDecision decision = decide(reason);
    assertThat(decision.objections()).extracting(Objection::reason).containsExactly(reason);
    Objection only = decision.objections().get(0);
    assertThat(only.severity()).isEqualTo(reason.usual());
    assertThat(only.sentence()).matches("[A-Z“].*\\.");
    assertThat(decision.verdict())
        .isEqualTo(
            switch (reason.usual()) {
              case IGNORE, TELL -> Verdict.MAY_GO;
              case ASK -> Verdict.NEEDS_CONFIRMATION;
              case REFUSE -> Verdict.MAY_NOT_GO;
            });
  }

  private static SendDecision decide(Reason reason) {
    return SendRules.decide(new Asking().with(reason).question(), SendPolicy.USUAL);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          OPTED_OUT             | The customer has opted out of texts. Call or mail them, or ask them to text START.
          PLACEHOLDER           | Fill in or remove “{first name}” first.
          TOO_MANY_PARTS        | This takes 11 parts; this line sends 10 at most. Shorten it.
          COUNTRY_NOT_REACHED   | This line does not send texts to Canada.
          SAME_TEXT             | Tobias sent the same text to this number 3 minutes ago.
          ANSWERED_MEANWHILE    | Priya answered while you were writing.
          NIGHT                 | It is 23:40 where the customer is.
          OVER_ALLOWANCE        | Priya has 1 part left this week, and this takes 2 parts. A lead can allow more.
          ALLOWANCE_NEARLY_USED | Priya has 2 parts left this week.
          ATTACHMENT_TOO_LARGE  | “estimate.pdf” has 2.1 MB; this line sends 2.0 MB at most.
          MANY_RECIPIENTS       | This goes to 25 customers.
          """)
  void theSentenceSaysWhatIsWrong(Reason reason, String sentence) {
    assertThat(decide(reason).objections().get(0).sentence()).isEqualTo(sentence);
  }

  @Test
  void allReasonsAreFoundAtOnceAndOneMoreNeverMakesItMilder() {
    Random random = new Random(12);
    for (int round = 0; round < Rounds.of(2_000); round++) {
      Asking asking = new Asking();
      Set<Reason> wanted = new TreeSet<>();
      Verdict before = Verdict.MAY_GO;
      for (Reason reason : shuffled(random)) {
        if (asking.canAlsoBe(reason, wanted)) {
          asking.with(reason);
          wanted.add(reason);
          SendDecision now = SendRules.decide(asking.question(), SendPolicy.USUAL);
          assertThat(now.objections())
              .extracting(Objection::reason)
              .containsExactlyElementsOf(wanted);
          assertThat(now.verdict()).isGreaterThanOrEqualTo(before);
          before = now.verdict();
        }
      }
    }
  }

  private static List<Reason> shuffled(Random random) {
    List<Reason> all = new ArrayList<>(Asking.ABOUT_ONE);
    Collections.shuffle(all, random);
    return all.subList(0, 1 + random.nextInt(6));
  }

  @Test
  void whoOptedOutGetsNothingWhateverIsSetAndWhoeverAsks() {
    Random random = new Random(13);
    List<Author> authors =
        List.of(
            new Author.Person(1),
            new Author.Several(1, 2),
            new Author.Schedule(1, true),
            new Author.Announcement(1, 1),
            new Author.Rule(1),
            new Author.Program(1),
            new Author.Itself(Author.Purpose.CODE),
            new Author.Itself(Author.Purpose.START_CONFIRMED));
    for (int round = 0; round < Rounds.of(1_000); round++) {
      Asking asking = new Asking().with(Reason.OPTED_OUT);
      asking.author = authors.get(random.nextInt(authors.size()));
      SendDecision decision = SendRules.decide(asking.question(), mildest(random));
      assertThat(decision.verdict(Set.of(Reason.values()))).isEqualTo(Verdict.MAY_NOT_GO);
    }
  }

  private static SendPolicy mildest(Random random) {
    Map<Reason, Severity> severities = new EnumMap<>(Reason.class);
    for (Reason reason : Asking.ABOUT_ONE) {
      if (reason.isSettable() && random.nextBoolean()) {
        severities.put(reason, reason.mildest());
      }
    }
    SendPolicy usual = SendPolicy.USUAL;
    return new SendPolicy(
        severities, usual.sameTextWithin(), usual.nightFrom(), usual.nightUntil(), 2);
  }

  @ParameterizedTest
  @EnumSource(
      value = Author.Purpose.class,
      names = {"STOP_CONFIRMED", "HELP"})
  void theConfirmationAndHelpGoAlsoToWhoOptedOut(Author.Purpose purpose) {
    Asking asking = new Asking().with(Reason.OPTED_OUT);
    asking.author = new Author.Itself(purpose);
    assertThat(SendRules.decide(asking.question(), SendPolicy.USUAL).objections()).isEmpty();
  }

  @Test
  void whatAsksGoesOnceEachReasonIsConfirmed() {
    Asking asking = new Asking().with(Reason.SAME_TEXT).with(Reason.MANY_RECIPIENTS);
    SendDecision decision = SendRules.decide(asking.question(), SendPolicy.USUAL);
    assertThat(decision.verdict(Set.of(Reason.SAME_TEXT))).isEqualTo(Verdict.NEEDS_CONFIRMATION);
    assertThat(decision.verdict(Set.of(Reason.SAME_TEXT, Reason.MANY_RECIPIENTS)))
        .isEqualTo(Verdict.MAY_GO);
    assertThat(decide(Reason.LINE_OFF).verdict(Set.of(Reason.LINE_OFF)))
        .isEqualTo(Verdict.MAY_NOT_GO);
  }

  @ParameterizedTest
  @CsvSource({
    "OPTED_OUT, ASK, false",
    "EMPTY, TELL, false",
    "MARKED_WRONG, ASK, true",
    "MARKED_WRONG, TELL, false",
    "SAME_TEXT, IGNORE, true",
    "SAME_TEXT, REFUSE, true",
    "NO_AGREEMENT_TO_NEWS, TELL, false",
    "ANSWERED_MEANWHILE, REFUSE, false",
  })
  void aLeadSaysHowMuchAReasonWeighsWithinBounds(Reason reason, Severity severity, boolean can) {
    assertThat(SendPolicy.allows(reason, severity)).isEqualTo(can);
    if (can) {
      SendPolicy policy = SendPolicy.USUAL.with(reason, severity);
      List<Objection> found =
          SendRules.decide(new Asking().with(reason).question(), policy).objections();
      assertThat(found)
          .extracting(Objection::severity)
          .isEqualTo(severity == IGNORE ? List.of() : List.of(severity));
    } else {
      assertThatThrownBy(() -> SendPolicy.USUAL.with(reason, severity))
          .isInstanceOf(IllegalArgumentException.class);
    }
  }

  @ParameterizedTest
  @CsvSource({"20:59, false", "21:00, true", "00:00, true", "07:59, true", "08:00, false"})
  void theNightGoesOverMidnight(String there, boolean night) {
    assertThat(SendPolicy.USUAL.isNight(LocalTime.parse(there))).isEqualTo(night);
  }

  @Test
  void theSameTextIsForgottenAfterTenMinutes() {
    Asking asking = new Asking();
    asking.sentMinutesAgo(10);
    assertThat(SendRules.decide(asking.question(), SendPolicy.USUAL).objections()).isEmpty();
    asking.sentMinutesAgo(9);
    assertThat(SendRules.decide(asking.question(), SendPolicy.USUAL).objections()).hasSize(1);
  }

  @ParameterizedTest
  @CsvSource({
    "0, 0, 1, REFUSE",
    "10, 8, 1, IGNORE",
    "10, 9, 1, TELL",
    "10, 10, 1, REFUSE",
    "10, 25, 1, REFUSE",
    "10, 8, 2, TELL",
    "10, 8, 3, REFUSE"
  })
  void anAllowanceWarnsBeforeItRefuses(int limit, int used, int parts, Severity severity) {
    Asking asking = new Asking();
    asking.words = "x".repeat(parts == 1 ? 160 : 153 * parts);
    asking.allowance(limit, used);
    assertThat(SendRules.decide(asking.question(), SendPolicy.USUAL).objections())
        .extracting(Objection::severity)
        .isEqualTo(severity == IGNORE ? List.of() : List.of(severity));
  }

  @ParameterizedTest
  @CsvSource({
    "See https://quillhaven.example/lift, true",
    "www.quillhaven.example, true",
    "quillhaven.com has it, true",
    "It is 3.5 m. Go, false",
  })
  void aWebAddressIsKnown(String words, boolean is) {
    Asking asking = new Asking();
    asking.words = words;
    asking.everWrote = false;
    assertThat(SendRules.decide(asking.question(), SendPolicy.USUAL).objections())
        .hasSize(is ? 1 : 0);
  }

  /** Each reason, with each author and each setting that is allowed. */
  @ParameterizedTest
  @EnumSource(
      value = Reason.class,
      mode = EnumSource.Mode.EXCLUDE,
      names = {"GROUP_BEGINS", "NOT_ALL_REACHED"})
  void whatComesOfAReasonIsItsSettingWhoeverWrites(Reason reason) {
    List<Author> authors =
        List.of(
            new Author.Person(1),
            new Author.Several(1, 2),
            new Author.Schedule(1, true),
            new Author.Rule(1),
            new Author.Program(1),
            new Author.Itself(Author.Purpose.CODE));
    for (Author author : authors) {
      for (Severity set : Severity.values()) {
        if (!SendPolicy.allows(reason, set)) {
          continue;
        }
        Asking asking = new Asking().with(reason);
        asking.author = author;
        SendDecision decision =
            SendRules.decide(asking.question(), SendPolicy.USUAL.with(reason, set));
        assertThat(decision.verdict())
            .as("%s by %s set to %s", reason, author, set)
            .isEqualTo(
                switch (set) {
                  case IGNORE, TELL -> Verdict.MAY_GO;
                  case ASK -> Verdict.NEEDS_CONFIRMATION;
                  case REFUSE -> Verdict.MAY_NOT_GO;
                });
        assertThat(decision.objections()).hasSize(set == IGNORE ? 0 : 1);
      }
    }
  }

  @Test
  void attachmentsGoWithoutWordsAndCountAsOnePart() {
    Asking asking = new Asking();
    asking.words = "";
    asking.attachments.add(new Attachment("lift.jpg", "image/jpeg", 2_000_000));
    SendDecision decision = SendRules.decide(asking.question(), SendPolicy.USUAL);
    assertThat(decision.objections()).isEmpty();
    assertThat(decision.parts()).isEqualTo(1);
    asking.words = "x".repeat(161);
    assertThat(SendRules.decide(asking.question(), SendPolicy.USUAL).parts()).isEqualTo(2);
    asking.words = "";
    asking.allowance(100, 100);
    assertThat(SendRules.decide(asking.question(), SendPolicy.USUAL).objections())
        .extracting(Objection::reason)
        .containsExactly(Reason.OVER_ALLOWANCE);
  }

  @Test
  void whatIsSaidOfAnAttachmentNamesItAndTheLimit() {
    Asking asking = new Asking();
    asking.attachments.add(new Attachment("lift.jpg", "image/jpeg", 2_000_001));
    asking.attachments.add(new Attachment("tour.mp4", "video/mp4", 700_000));
    assertThat(SendRules.decide(asking.question(), SendPolicy.USUAL).objections())
        .extracting(Objection::sentence)
        .containsExactlyInAnyOrder(
            "“lift.jpg” has 2.1 MB; this line sends 2.0 MB at most.",
            "This line does not send files such as “tour.mp4”.");
  }

  @Test
  void whatStandsBelowTheWordsIsCountedAndUnderNothingStandsNothing() {
    Content content =
        Content.with(
            "x".repeat(150), TextKind.SERVICE, List.of("North Dock", "", "Reply STOP."), List.of());
    assertThat(content.leaving()).isEqualTo("x".repeat(150) + "\nNorth Dock\nReply STOP.");
    assertThat(Content.with(" ", TextKind.SERVICE, List.of("North Dock"), List.of()).leaving())
        .isEqualTo(" ");
    Asking asking = new Asking();
    SendQuestion plain = asking.question();
    SendQuestion appended =
        new SendQuestion(
            content, plain.author(), plain.from(), plain.to(), plain.lately(), plain.at());
    assertThat(SendRules.decide(appended, SendPolicy.USUAL).parts()).isEqualTo(2);
  }

  @Test
  void anActOnSeveralIsHeldAgainstItsAllowancesAsAWhole() {
    Allowance day = new Allowance("Priya", "today", 10, 4);
    assertThat(SendRules.ofAct(6, 6, List.of(day), SendPolicy.USUAL))
        .extracting(Objection::reason)
        .containsExactly(Reason.ALLOWANCE_NEARLY_USED);
    assertThat(SendRules.ofAct(7, 7, List.of(day), SendPolicy.USUAL))
        .extracting(Objection::reason)
        .containsExactly(Reason.OVER_ALLOWANCE);
    assertThat(SendRules.ofAct(25, 25, List.of(), SendPolicy.USUAL))
        .extracting(Objection::reason)
        .containsExactly(Reason.MANY_RECIPIENTS);
    assertThat(SendRules.ofAct(24, 5, List.of(day), SendPolicy.USUAL)).isEmpty();
  }
}
