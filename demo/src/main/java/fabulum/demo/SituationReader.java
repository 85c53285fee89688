package fabulum.demo;

import fabulum.demo.Situation.Kind;
import fabulum.demo.Situation.Line;
import fabulum.demo.Situation.Speaker;
import fabulum.demo.Situation.Step;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Reads {@code situations.txt}, whose first lines say how it is written. */
final class SituationReader {
  private static final Pattern HEAD =
      Pattern.compile("== ([\\w-]+) \\| (\\w+) \\| (\\d+)-(\\d+) \\| ([\\w-]+)(?: \\| ([\\w ]+))?");
  private static final Pattern STEP = Pattern.compile("([CSN])(?: \\[(\\d+)])?: (.+)");
  private static final int USUAL_MINUTES = 5;

  private SituationReader() {}

  static List<Situation> read() {
    try (InputStream in = SituationReader.class.getResourceAsStream("/quillhaven/situations.txt")) {
      return parse(new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * Reads situations.
   *
   * @throws IllegalArgumentException naming the line that cannot be read
   */
  static List<Situation> parse(String text) {
    List<Situation> situations = new ArrayList<>();
    Matcher head = null;
    List<Step> steps = new ArrayList<>();
    int number = 0;
    for (String line : text.lines().toList()) {
      number++;
      if (line.isBlank() || line.startsWith("#")) {
        continue;
      }
      if (line.startsWith("==")) {
        finish(head, steps, situations);
        head = HEAD.matcher(line);
        require(head.matches(), number, line);
        steps = new ArrayList<>();
      } else {
        steps.add(step(line, number));
      }
    }
    finish(head, steps, situations);
    return situations;
  }

  private static void finish(@Nullable Matcher head, List<Step> steps, List<Situation> into) {
    if (head != null) {
      into.add(
          new Situation(
              head.group(1),
              Line.valueOf(head.group(2).toUpperCase(Locale.ROOT)),
              Integer.parseInt(head.group(3)),
              Integer.parseInt(head.group(4)),
              Kind.valueOf(head.group(5).toUpperCase(Locale.ROOT).replace('-', '_')),
              head.group(6) == null ? "" : head.group(6),
              steps));
    }
  }

  private static Step step(String line, int number) {
    if (line.equals("D")) {
      return new Step(Speaker.DONE, Duration.ofMinutes(1), "");
    }
    Matcher step = STEP.matcher(line);
    require(step.matches(), number, line);
    Speaker speaker =
        switch (step.group(1)) {
          case "C" -> Speaker.CUSTOMER;
          case "S" -> Speaker.STAFF;
          default -> Speaker.NOTE;
        };
    int minutes = step.group(2) == null ? USUAL_MINUTES : Integer.parseInt(step.group(2));
    return new Step(speaker, Duration.ofMinutes(minutes), step.group(3));
  }

  private static void require(boolean fits, int number, String line) {
    if (!fits) {
      throw new IllegalArgumentException("Line " + number + " cannot be read: " + line);
    }
  }
}
