package fabulum.server.templates;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

/** Templates out of files and into files. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class TemplateFilesTest {
  private static final String ALL = "/api/templates";
  private static final String PREVIEW = ALL + "/import/preview";
  private static final String TAKE = ALL + "/import";

  private final TwoTeams office = TwoTeams.start();
  private final Fabulum fabulum = office.fabulum;
  private final Browser maren = fabulum.signedIn("maren");
  private final Browser priya = fabulum.signedIn("priya");

  @BeforeAll
  void begin() {
    Map<String, Object> template =
        Map.of(
            "title", "Hours",
            "shortName", "hrs",
            "words", "-- Hours, “quoted”; with \"marks\"\nand {hours: today}",
            "folder", "Office",
            "language", "en",
            "guarded", true,
            "retired", false,
            "lines", java.util.List.of(1));
    maren.post(ALL, template).require(200);
  }

  @AfterAll
  void stop() {
    office.close();
  }

  private int count() {
    return maren.get(ALL).json().size();
  }

  @Test
  void whatIsExportedIsTheSameWhenItIsImportedAgain() {
    String csv = maren.get(ALL + "/export/csv").require(200).body();
    String json = maren.get(ALL + "/export/json").require(200).body();
    int all = count();
    for (String file : new String[] {csv, json}) {
      JsonNode taken = maren.upload(TAKE, "templates", file).require(200).json();
      assertThat(taken.path("same").asInt()).isEqualTo(all);
      assertThat(taken.path("changed").asInt() + taken.path("added").asInt()).isZero();
      assertThat(taken.path("problems").size()).isZero();
    }
    assertThat(priya.get(ALL + "/export/csv").status()).isEqualTo(403);
  }

  @Test
  void goodRowsAreTakenAndTheOthersSayWhyNot() {
    String file =
        """
        Title,Short name,Words,Lines,Retired
        File one,f-one,Hi {first name | there},,
        File two,f-one,Second,,
        ,f-three,Third,,
        File four,,Hi {nobody},Nowhere; Dock office,perhaps
        Hours,hrs,Other words,,
        """;
    int before = count();
    JsonNode preview = priya.upload(PREVIEW, "t.csv", file).require(200).json();
    assertThat(preview.path("taken").asBoolean()).isFalse();
    assertThat(preview.path("added").asInt()).isEqualTo(1);
    assertThat(count()).isEqualTo(before);

    JsonNode taken = priya.upload(TAKE, "t.csv", file).require(200).json();
    assertThat(taken.path("added").asInt()).isEqualTo(1);
    assertThat(taken.path("left").asInt()).isEqualTo(4);
    assertThat(taken.path("problems").toString())
        .contains("{\"line\":4,\"field\":\"title\",\"why\":\"A title has 1 to 80 characters.\"}")
        .contains(
            "\"line\":5,\"field\":\"lines\",\"why\":\"There is nothing named “Nowhere” here.\"")
        .contains("Write yes or no, not “perhaps”.", "There is no placeholder “{nobody}”.")
        .contains("{\"line\":6,\"field\":\"title\",\"why\":\"You may not change this template.\"}");
    assertThat(count()).isEqualTo(before + 1);
    assertThat(maren.get(ALL).json().toString()).contains("File one").doesNotContain("Other words");
  }

  @Test
  void aFileWithoutTheColumnsIsRefused() {
    assertThat(maren.upload(PREVIEW, "t.csv", "a,b\n1,2\n").require(422).body())
        .contains("The first row must name the columns");
    assertThat(fabulum.signedIn("vera").upload(TAKE, "t.csv", "title,words\na,b\n").status())
        .isEqualTo(403);
  }

  @Test
  void fiftyThousandRowsWithFaultsAreReadAndTheGoodOnesCounted() {
    StringBuilder file = new StringBuilder("title,short name,words\n");
    for (int i = 0; i < 50_000; i++) {
      file.append("Many ").append(i % 2 == 0 ? i : -1).append(",,Words {nobody} of\n");
    }
    file.append("Good one,,Words\n");
    JsonNode preview = maren.upload(PREVIEW, "t.csv", file.toString()).require(200).json();
    assertThat(preview.path("left").asInt()).isEqualTo(50_000);
    assertThat(preview.path("added").asInt()).isEqualTo(1);
    assertThat(preview.path("problems").size()).isEqualTo(100);
  }
}
