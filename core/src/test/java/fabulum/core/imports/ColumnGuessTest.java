package fabulum.core.imports;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.imports.Target.What;
import fabulum.core.phone.Region;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ColumnGuessTest {
  private final ColumnGuess guess =
      new ColumnGuess(
          Subject.CUSTOMERS,
          Map.of("Boat", 3L),
          Map.of("Liegeplatz", Target.detail(4)),
          new Region("US"));

  private List<Target> of(List<String> titles, List<List<String>> columns) {
    return guess.of(titles, columns);
  }

  @Test
  void titlesSayItInManyWays() {
    List<String> titles =
        List.of("Vorname", "Last name", "E-Mail", "Cell phone", "BOAT", "Liegeplatz", "Colour");
    List<List<String>> columns = titles.stream().map(title -> List.of("x")).toList();
    assertThat(of(titles, columns))
        .containsExactly(
            Target.of(What.FIRST_NAME),
            Target.of(What.LAST_NAME),
            Target.of(What.EMAIL),
            Target.of(What.NUMBER),
            Target.detail(3),
            Target.detail(4),
            Target.NOTHING);
  }

  @Test
  void contentSaysItWhereTitlesDoNot() {
    assertThat(
            of(
                List.of("a", "b", "c"),
                List.of(
                    List.of("ada@x.example", "", "ben@x.example"),
                    List.of("(920) 555-0134", "920.555.0135", "n/a", "+1 920 555 0136"),
                    List.of("2026", "2025", ""))))
        .containsExactly(Target.of(What.EMAIL), Target.of(What.NUMBER), Target.NOTHING);
  }

  @Test
  void theFirstColumnOfDifferentNamesHasThemWhereNoTitleSaysSo() {
    List<List<String>> columns =
        List.of(
            List.of("A 12", "A 13", "B 2"),
            List.of("North Dock", "North Dock", "North Dock"),
            List.of("Ada Marsh", "O’Brien, Ben", "Jürgen van Groß"),
            List.of("Kittiwake Two", "Blue Moon", "Old Sally"));
    List<String> none = List.of("", "", "", "");
    assertThat(of(none, columns))
        .containsExactly(Target.NOTHING, Target.NOTHING, Target.of(What.NAME), Target.NOTHING);
    assertThat(of(List.of("", "", "Keeper", "Name"), columns))
        .as("a title says it")
        .containsExactly(Target.NOTHING, Target.NOTHING, Target.NOTHING, Target.of(What.NAME));
  }

  @Test
  void onlyNumbersMayHaveSeveralColumns() {
    assertThat(
            of(
                List.of("Name", "Customer", "Mobile", "Home phone"),
                List.of(List.of(), List.of(), List.of(), List.of())))
        .containsExactly(
            Target.of(What.NAME), Target.NOTHING, Target.of(What.NUMBER), Target.of(What.NUMBER));
  }

  @Test
  void aFirstNameAloneIsTheName() {
    assertThat(of(List.of("First name"), List.of(List.of("Ada"))))
        .containsExactly(Target.of(What.NAME));
  }

  @Test
  void aFileWithoutTitlesIsNoticed() {
    List<List<String>> below = List.of(List.of("Ben Moss"), List.of("+1 920 555 0135"));
    assertThat(guess.hasTitles(List.of("Name", "Phone"), below)).isTrue();
    assertThat(guess.hasTitles(List.of("Who", "Reach"), below)).isTrue();
    assertThat(guess.hasTitles(List.of("Ada Marsh", "+1 920 555 0134"), below)).isFalse();
  }

  @Test
  void aTargetIsReadBack() {
    for (What what : What.values()) {
      Target target = what == What.DETAIL ? Target.detail(7) : Target.of(what);
      assertThat(Target.read(target.text())).isEqualTo(target);
    }
  }
}
