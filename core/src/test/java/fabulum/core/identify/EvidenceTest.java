package fabulum.core.identify;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.identify.LabelledSet.LabelledCase;
import fabulum.core.identify.Ranking.Weighed;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * What people see of each case that was tuned on: who probably writes, how likely, and why. A file
 * beside each set says it case by case, so that a rule that changes shows where, and what became of
 * it. They are written anew with {@code -Devidence.write=true}, and read before they are kept.
 */
class EvidenceTest {
  private static final Path FOLDER = Path.of("src/test/resources/identify");
  private static final int SHOWN = 2;

  private static List<String> sets() {
    return Fit.TUNING;
  }

  @ParameterizedTest
  @MethodSource("sets")
  void eachCaseIsAnsweredForTheReasonsOnFile(String set) throws IOException {
    List<String> lines = new ArrayList<>();
    say(LabelledSet.read(set), lines);
    Path file = FOLDER.resolve(set + ".evidence.txt");
    if (Boolean.getBoolean("evidence.write")) {
      Files.write(file, lines);
    }
    assertThat(lines).isEqualTo(Files.readAllLines(file));
  }

  private static void say(LabelledSet set, List<String> lines) {
    Directory directory = set.directory();
    Map<Long, Profile> profiles = Measured.byId(set.customers());
    for (LabelledCase one : set.cases()) {
      List<Profile> found = Measured.found(one.inquiry(), directory, profiles);
      Ranking ranking = Identifier.rank(one.inquiry(), found, directory, Optional.empty());
      lines.add(one.id() + ": " + found.size() + " candidates");
      lines.add("  nobody" + likelihood(ranking.nobody()) + said(ranking.nobodysEvidence()));
      ranking.likely().stream()
          .limit(SHOWN)
          .map(each ->
              "  "
                  + set.keys().get(each.customer())
                  + likelihood(each.likelihood())
                  + said(each.evidence()))
          .forEach(lines::add);
    }
  }

  private static String likelihood(double likelihood) {
    return String.format(Locale.ROOT, " %.3f", likelihood);
  }

  private static String said(List<Weighed> evidence) {
    StringBuilder said = new StringBuilder();
    for (Weighed one : evidence) {
      said.append(
          String.format(
              Locale.ROOT,
              " | %s %.2f %s",
              one.evidence().clue(),
              one.evidence().strength(),
              one.evidence().sentence()));
    }
    return said.toString();
  }
}
