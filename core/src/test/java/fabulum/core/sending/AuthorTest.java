package fabulum.core.sending;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.sending.Author.Effect;
import fabulum.core.sending.Author.Lane;
import java.util.List;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class AuthorTest {
  private record Case(
      Author author,
      OptionalLong writer,
      boolean endsWait,
      boolean takesOwnership,
      boolean isolatesFailure,
      Lane lane) {}

  private static List<Case> cases() {
    OptionalLong priya = OptionalLong.of(7);
    OptionalLong nobody = OptionalLong.empty();
    return List.of(
        new Case(new Author.Person(7), priya, true, true, false, Lane.SINGLE),
        new Case(new Author.Several(7, 2), priya, true, true, true, Lane.MANY),
        new Case(new Author.Schedule(7, true), priya, true, false, false, Lane.MANY),
        new Case(new Author.Schedule(7, false), priya, false, false, false, Lane.MANY),
        new Case(new Author.Announcement(3, 7), priya, false, false, true, Lane.MANY),
        new Case(new Author.Rule(3), nobody, false, false, false, Lane.SINGLE),
        new Case(new Author.Program(3), nobody, true, false, false, Lane.SINGLE),
        new Case(new Author.Itself(Author.Purpose.CODE), nobody, false, false, false, Lane.SINGLE));
  }

  @ParameterizedTest
  @MethodSource("cases")
  void whatATextDoesDependsOnWhoSaysIt(Case expected) {
    assertThat(expected.author().writer()).isEqualTo(expected.writer());
    assertThat(expected.author().effect())
        .isEqualTo(
            new Effect(
                expected.endsWait(),
                expected.takesOwnership(),
                expected.isolatesFailure(),
                expected.lane()));
  }

  private record Manner(
      Author author,
      boolean pauses,
      boolean waitsForLook,
      boolean answering,
      boolean leavesPaper,
      boolean itself,
      int recipients) {}

  private static List<Manner> manners() {
    return List.of(
        new Manner(new Author.Person(7), true, true, true, true, false, 1),
        new Manner(new Author.Approved(7, 1), false, false, true, true, false, 1),
        new Manner(new Author.Several(7, 4), true, true, false, true, false, 4),
        new Manner(new Author.Schedule(7, true), false, true, false, false, false, 1),
        new Manner(new Author.Announcement(3, 7), false, false, false, false, false, 1),
        new Manner(new Author.Rule(3), false, false, false, false, false, 1),
        new Manner(new Author.Program(3), false, false, false, false, false, 1),
        new Manner(new Author.Itself(Author.Purpose.CODE), false, false, false, false, true, 1));
  }

  @ParameterizedTest
  @MethodSource("manners")
  void howATextIsSentDependsOnWhoSaysIt(Manner expected) {
    Author author = expected.author();
    assertThat(
            new Manner(
                author,
                author.pauses(),
                author.waitsForLook(),
                author.isAnswering(),
                author.leavesPaper(),
                author.isItself(),
                author.recipients()))
        .isEqualTo(expected);
  }

  @Test
  void whatAColleagueApprovedIsAnAnswerOfItsWriter() {
    Author approved = new Author.Approved(7, 1);
    assertThat(approved.writer()).hasValue(7);
    assertThat(approved.effect()).isEqualTo(new Author.Person(7).effect());
  }
}
