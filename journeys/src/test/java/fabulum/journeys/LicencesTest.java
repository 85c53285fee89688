package fabulum.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.jar.JarFile;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What ships is named with its licence. Where this is red: bin/licences writes the file anew. */
class LicencesTest {
  private static final Path ROOT = Path.of("..");
  private static final Pattern LIBRARY = Pattern.compile("BOOT-INF/lib/(?!fabulum-)(.+)\\.jar");

  @Test
  void everyLibraryInThePackedProgramsIsNamed() throws IOException {
    String licences = Files.readString(ROOT.resolve("web/public/licences.txt"));
    for (String program : List.of("server", "demo")) {
      assertThat(libraries(program))
          .as(program)
          .hasSizeGreaterThan(50)
          .allSatisfy(library -> assertThat(licences).contains("\n" + library + " "));
    }
  }

  private static List<String> libraries(String program) throws IOException {
    Path packed = ROOT.resolve(program + "/target/fabulum-" + program + "-0.1.0-exec.jar");
    try (JarFile jar = new JarFile(packed.toFile())) {
      return jar.stream()
          .map(entry -> LIBRARY.matcher(entry.getName()))
          .filter(Matcher::matches)
          .map(library -> library.group(1))
          .toList();
    }
  }
}
