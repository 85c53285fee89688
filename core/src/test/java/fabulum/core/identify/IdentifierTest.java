package fabulum.core.identify;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.identify.Profile.Appointment;
import fabulum.core.identify.Profile.Detail;
import fabulum.core.identify.Profile.Held;
import fabulum.core.identify.Profile.Job;
import fabulum.core.meaning.Meaning;
import fabulum.core.phone.PhoneNumber;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class IdentifierTest {
  private static final Instant NOW = Instant.parse("2026-06-09T19:05:00Z");
  private static final ZoneId ZONE = ZoneId.of("America/Chicago");
  private static final String STRANGE = "+17155550177";

  /** A customer with whatever a test is about. */
  private static final class Made {
    private final long id;
    private final String name;
    private final List<String> contacts = new ArrayList<>();
    private final List<Held> numbers = new ArrayList<>();
    private final List<Detail> details = new ArrayList<>();
    private final List<String> notes = new ArrayList<>();
    private final List<Appointment> appointments = new ArrayList<>();
    private final List<Job> jobs = new ArrayList<>();
    private final List<Spoken> said = new ArrayList<>();

    Made(long id, String name) {
      this.id = id;
      this.name = name;
      numbers.add(held("+1414555" + String.format("%04d", 2000 + id * 37), null));
    }

    static Held held(String e164, Instant until) {
      return new Held(new PhoneNumber(e164), Optional.empty(), Optional.ofNullable(until));
    }

    Profile profile() {
      return new Profile(
          id,
          name,
          contacts,
          Optional.of("mail" + id + "@post.example"),
          Optional.empty(),
          numbers,
          details,
          notes,
          appointments,
          jobs,
          said);
    }
  }

  private final Made dale = new Made(1, "Dale Kowalski");
  private final Made ines = new Made(2, "Inés Peña-Roth");
  private final Made firm = new Made(3, "Tri-Harbor Charters");
  private final Made park = new Made(4, "Hyun-woo Park");

  private Ranking rank(String number, String... words) {
    List<Spoken> texts = new ArrayList<>();
    for (int i = 0; i < words.length; i++) {
      texts.add(new Spoken(NOW.plusSeconds(i), false, words[i]));
    }
    return rank(new Inquiry(Optional.of(new PhoneNumber(number)), texts, ZONE));
  }

  private Ranking rank(Inquiry inquiry) {
    return rank(inquiry, Optional.empty());
  }

  private Ranking rank(Inquiry inquiry, Optional<Meaning> meaning) {
    List<Profile> all = List.of(dale.profile(), ines.profile(), firm.profile(), park.profile());
    Directory directory = LabelledSet.directory(all);
    Map<Long, Profile> profiles = Measured.byId(all);
    List<Profile> found = Measured.found(inquiry, directory, profiles);
    return Identifier.rank(inquiry, found, directory, meaning);
  }

  private static Optional<Long> first(Ranking ranking) {
    return ranking.likely().stream()
        .findFirst()
        .filter(likely -> likely.likelihood() > ranking.nobody())
        .map(Ranking.Likely::customer);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Dale Kowalski here | 1",
        "kowalski, dale. new phone | 1",
        "Its Dale Kowalsky, call me | 1",
        "This is Dale K, I have a new number | 1",
        "Дейл Ковальски, новый номер | 1",
        "Ines Pena Roth, my old phone is gone | 2",
        "박현우입니다 | 4",
        "Park Hyunwoo - new phone | 4",
        "This is Dale Brewster, a friend gave me your number | 0",
        "Dale, your table is ready | 0",
        "Do you have a slip for the weekend? | 0",
        "hello | 0"
      })
  void namesAreReadHoweverTheyAreWritten(String words, long truth) {
    assertThat(first(rank(STRANGE, words)))
        .isEqualTo(truth == 0 ? Optional.empty() : Optional.of(truth));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Motor yacht of 46 ft, any room? | ''",
        "Slip for 2 nights | ''",
        "Annika from 4B, the tap drips | Annika",
        "Wes of Corn Belt, call me | Wes"
      })
  void aMeasureIsNoName(String words, String name) {
    Spoken text = new Spoken(NOW, false, words);
    Inquiry inquiry = new Inquiry(Optional.of(new PhoneNumber(STRANGE)), List.of(text), ZONE);
    assertThat(Identifier.nameIn(inquiry)).isEqualTo(name);
  }

  @Test
  void aDetailAJobNumberAMailAndANumberInTheNotesGiveThemAway() {
    dale.details.add(new Detail("Boat", "Second Wind"));
    ines.jobs.add(new Job(Optional.of("J-2041"), "Replace the bilge pump"));
    firm.contacts.add("Marisol Vega");
    park.notes.add("Wife's cell (715) 555-0177");
    assertThat(first(rank(STRANGE.replace("77", "99"), "water in the bilge of the Second Wind")))
        .contains(1L);
    assertThat(first(rank(STRANGE.replace("77", "99"), "about J2041, when is it done")))
        .contains(2L);
    assertThat(first(rank(STRANGE.replace("77", "99"), "please write to mail3@post.example")))
        .contains(3L);
    assertThat(first(rank(STRANGE, "he asked me to tell you he is late"))).contains(4L);
    assertThat(
            first(rank(STRANGE.replace("77", "99"), "Marisol from Tri Harbor, can we fuel at six")))
        .contains(3L);
  }

  @Test
  void aPartOfADetailIsToldInASentence() {
    dale.details.add(new Detail("Vehicle", "2019 Fjordline Kestrel"));
    assertThat(rank(STRANGE, "how is the kestrel coming along").likely().get(0).evidence())
        .anyMatch(one ->
            one.evidence()
                .sentence()
                .equals("Names a part of their vehicle “2019 Fjordline Kestrel”."));
  }

  @Test
  void anAnswerToOurQuestionIsToldFromOneToNobody() {
    ines.said.add(
        new Spoken(
            NOW.minus(Duration.ofHours(20)),
            true,
            "Shall we replace both spreaders or only the bent one?"));
    assertThat(
            first(
                rank(
                    STRANGE,
                    "Both spreaders please, do replace them, the bent one is not the only bad one")))
        .contains(2L);
    assertThat(first(rank(STRANGE, "the ferry is late"))).isEmpty();
  }

  @Test
  void aNumberThatWasTheirsOrIsOneDigitOffCountsWithWhatIsSaid() {
    dale.numbers.add(Made.held(STRANGE, NOW.minus(Duration.ofDays(9))));
    assertThat(first(rank(STRANGE, "is my boat in the water"))).contains(1L);
    Ranking near = rank(STRANGE.replace("77", "78"), "is my boat in the water");
    assertThat(near.likely().get(0).evidence())
        .anyMatch(one -> one.evidence().clue() == Clue.NEAR_NUMBER);
  }

  @Test
  void oneWhoWroteFromTheirOwnNumberAMomentAgoHasThatAgainstThem() {
    dale.said.add(new Spoken(NOW.minus(Duration.ofMinutes(30)), false, "thanks"));
    assertThat(rank(STRANGE, "dale here").likely().get(0).evidence())
        .anyMatch(one -> one.evidence().clue() == Clue.JUST_WROTE);
  }

  @Test
  void moreTextsOfTheSameNumberSharpenIt() {
    double one = rank(STRANGE, "Good morning, Dale here").likely().get(0).likelihood();
    double two =
        rank(STRANGE, "Good morning, Dale here", "Kowalski that is").likely().get(0).likelihood();
    assertThat(two).isGreaterThan(one + 0.1);
  }

  @Test
  void manyWithNextToNoReasonDoNotOutweighTheTwoWhoHoldTheNumber() {
    List<Profile> all = new ArrayList<>();
    for (int i = 0; i < 50; i++) {
      Made made = new Made(100 + i, "Somebody Number" + i);
      made.numbers.clear();
      made.numbers.add(
          Made.held(i < 2 ? STRANGE : STRANGE.substring(0, 10) + (i % 9) + (i / 9), null));
      all.add(made.profile());
    }
    Inquiry inquiry =
        new Inquiry(
            Optional.of(new PhoneNumber(STRANGE)),
            List.of(new Spoken(NOW, false, "we come on Friday")),
            ZONE);
    Ranking ranking = Identifier.rank(inquiry, all, LabelledSet.directory(all), Optional.empty());
    assertThat(ranking.likely().stream().limit(2).mapToDouble(Ranking.Likely::likelihood).sum())
        .isGreaterThan(0.65);
    assertThat(ranking.likely().get(20).likelihood()).isZero();
  }

  @Test
  void likelihoodsOfAllAndNobodyMakeOne() {
    Ranking ranking = rank(STRANGE, "Dale or Inés Peña, who knows");
    double sum =
        ranking.nobody() + ranking.likely().stream().mapToDouble(Ranking.Likely::likelihood).sum();
    assertThat(sum).isBetween(0.999999, 1.000001);
  }

  private static final String ASKED = "At the helm or below, where shall the socket go?";
  private static final String OTHERS_ASKED = "Which day may we lift her?";
  private static final String MATTER = "It leaks at the bow";

  /** Words that mean the same lie in one direction, all others in another. */
  private static Optional<Meaning> meaning(String... alike) {
    return Optional.of(
        words -> List.of(alike).contains(words) ? new float[] {1, 0} : new float[] {0, 1});
  }

  private Ranking meant(String words, Optional<Meaning> meaning) {
    Spoken text = new Spoken(NOW, false, words);
    return rank(new Inquiry(Optional.of(new PhoneNumber(STRANGE)), List.of(text), ZONE), meaning);
  }

  private static String evidence(Ranking ranking, long customer) {
    return ranking.likely().stream()
        .filter(one -> one.customer() == customer)
        .map(one -> one.evidence().toString())
        .findFirst()
        .orElse("");
  }

  private void weAsked(Made customer, String words) {
    customer.said.add(new Spoken(NOW.minus(Duration.ofHours(20)), true, words));
  }

  @Test
  void whatMeansAnAnswerPointsToWhomWeAskedWhateverTheWords() {
    weAsked(dale, ASKED);
    weAsked(ines, OTHERS_ASKED);
    String words = "Under the deck please";
    Ranking without = meant(words, Optional.empty());
    Ranking with = meant(words, meaning(words, ASKED));
    assertThat(evidence(with, 1)).contains("MEANS_ANSWER", "an answer to what we asked", ASKED);
    assertThat(with.likely().get(0).customer()).isEqualTo(1);
    assertThat(with.likely().get(0).likelihood())
        .isGreaterThan(without.likely().get(0).likelihood() + 0.2);
    assertThat(evidence(with, 2)).doesNotContain("MEANS");
    assertThat(evidence(without, 1)).doesNotContain("MEANS");
  }

  @Test
  void whatIsLikeTheQuestionsOfSeveralTellsLittle() {
    weAsked(dale, ASKED);
    String words = "Under the deck please";
    double alone = meant(words, meaning(words, ASKED)).likely().get(0).likelihood();
    weAsked(ines, ASKED);
    weAsked(park, ASKED);
    assertThat(meant(words, meaning(words, ASKED)).likely().get(0).likelihood())
        .isLessThan(alone - 0.1);
  }

  @Test
  void ofAQuestionAndAMatterOnlyTheNearerCounts() {
    dale.said.add(new Spoken(NOW.minus(Duration.ofDays(2)), false, MATTER));
    String words = "There is water at the bow again";
    assertThat(evidence(meant(words, meaning(words, MATTER)), 1))
        .contains("MEANS_MATTER", "what is going on with them", MATTER);
    weAsked(dale, ASKED);
    String both = evidence(meant(words, meaning(words, MATTER, ASKED)), 1);
    assertThat(both).contains("MEANS_ANSWER").doesNotContain("MEANS_MATTER");
  }

  @Test
  void whatWeAskedOneIsNotWhatGoesOnWithThem() {
    ines.said.add(new Spoken(NOW.minus(Duration.ofDays(2)), false, MATTER));
    String words = "There is water at the bow again";
    double alone = points(meant(words, meaning(words, MATTER)), 2, Clue.MEANS_MATTER);
    weAsked(dale, ASKED);
    double beside = points(meant(words, meaning(words, MATTER, ASKED)), 2, Clue.MEANS_MATTER);
    assertThat(beside).isPositive().isEqualTo(alone);
  }

  @Test
  void whatAStrangerAsksTellsLessThanWhatACustomerSays() {
    dale.jobs.add(new Job(Optional.empty(), "Bow seal"));
    String says = "the bow seal drips";
    String asks = "how much is a bow seal";
    double said = points(meant(says, meaning(says, "Bow seal")), 1, Clue.MEANS_MATTER);
    double asked = points(meant(asks, meaning(asks, "Bow seal")), 1, Clue.MEANS_MATTER);
    assertThat(asked).isBetween(said * 0.49, said * 0.51);
    assertThat(points(meant(asks, Optional.empty()), 1, Clue.MATTER))
        .isLessThan(points(meant(says, Optional.empty()), 1, Clue.MATTER));
  }

  private static double points(Ranking ranking, long customer, Clue clue) {
    return ranking.likely().stream()
        .filter(one -> one.customer() == customer)
        .flatMap(one -> one.evidence().stream())
        .filter(one -> one.evidence().clue() == clue)
        .mapToDouble(Ranking.Weighed::points)
        .sum();
  }

  @Test
  void allWordsThatAreComparedAreNamedBefore() {
    weAsked(dale, ASKED);
    ines.notes.add("Old sails in the shed");
    park.jobs.add(new Job(Optional.empty(), "Bow seal"));
    Inquiry inquiry =
        new Inquiry(
            Optional.of(new PhoneNumber(STRANGE)),
            List.of(new Spoken(NOW, false, "good morning")),
            ZONE);
    List<Profile> all = List.of(dale.profile(), ines.profile(), park.profile());
    Set<String> named = Identifier.meant(inquiry, all);
    assertThat(named)
        .containsExactlyInAnyOrder("good morning", ASKED, "Old sails in the shed", "Bow seal");
    Set<String> looked = new HashSet<>();
    Meaning meaning =
        words -> {
          looked.add(words);
          return new float[] {1, 0};
        };
    Identifier.rank(inquiry, all, LabelledSet.directory(all), Optional.of(meaning));
    assertThat(looked).isEqualTo(named);
  }

  /**
   * What docs/identify.md reports of the part that nothing was tuned on; a little is left to
   * rounding.
   */
  @Test
  void theHeldBackPartIsAnsweredAsReported() {
    Measured measured = new Measured();
    for (String name : Fit.HELD_BACK) {
      LabelledSet set = LabelledSet.read(name);
      measured.add(
          set,
          set.directory(),
          Measured.byId(set.customers()),
          Weights.fitted(false),
          Optional.empty());
    }
    assertThat(measured.top1()).as("%s", measured).isGreaterThan(0.84);
    assertThat(measured.top3()).isGreaterThan(0.96);
    assertThat(measured.wrongAndSure()).isLessThanOrEqualTo(0.01);
    assertThat(measured.unknownRight()).isGreaterThan(0.93);
  }

  private Ranking registered(String name, String words) {
    return rank(
        new Inquiry(
            Optional.of(new PhoneNumber(STRANGE)),
            List.of(new Spoken(NOW, false, words)),
            ZONE,
            Optional.of(name)));
  }

  @Test
  void theNameANumberIsRegisteredUnderPointsToACustomerAndIsNeverSureAlone() {
    Ranking alone = registered("KOWALSKI DALE", "is the ramp open");
    assertThat(alone.likely().get(0).customer()).isEqualTo(1);
    assertThat(alone.likely().get(0).likelihood()).isBetween(0.35, 0.75);
    double with =
        registered("Dale Kowalski", "It's Dale, is the ramp open").likely().get(0).likelihood();
    double without = rank(STRANGE, "It's Dale, is the ramp open").likely().get(0).likelihood();
    assertThat(with).isGreaterThan(without).isGreaterThan(0.9);
    Ranking family = registered("Renate Kowalski", "is the ramp open");
    assertThat(family.likely().get(0).customer()).isEqualTo(1);
    assertThat(family.likely().get(0).likelihood()).isLessThan(alone.likely().get(0).likelihood());
    assertThat(family.likely().get(0).evidence().toString()).contains("REGISTERED_FAMILY");
    assertThat(registered("Someone Else", "is the ramp open").likely().toString())
        .doesNotContain("REGISTERED");
  }

  @Test
  void theDirectoryForgetsWhomItIsToldToForget() {
    dale.details.add(new Detail("Boat", "Second Wind"));
    Directory directory = LabelledSet.directory(List.of(dale.profile(), ines.profile()));
    Inquiry inquiry =
        new Inquiry(
            Optional.of(new PhoneNumber(STRANGE)),
            List.of(new Spoken(NOW, false, "kowalsky, second wnd")),
            ZONE);
    assertThat(directory.candidates(inquiry, Measured.CANDIDATES)).contains(1L);
    directory.remove(1);
    assertThat(directory.candidates(inquiry, Measured.CANDIDATES)).doesNotContain(1L);
    directory.put(dale.profile());
    directory.put(dale.profile());
    assertThat(directory.candidates(inquiry, Measured.CANDIDATES)).contains(1L);
    assertThat(directory.size()).isEqualTo(2);
  }
}
