import fabulum.core.agreement.Keyword;
import fabulum.core.agreement.Keywords;
import fabulum.core.agreement.StopWish;
import fabulum.core.wrongnumber.WrongNumber;
import fabulum.core.text.Language;
import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Says of each phrase what the program makes of it. Started by bench/phrases. */
public final class Phrases {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  public static void main(String[] arguments) throws Exception {
    Path in = null;
    Path out = null;
    Set<Language> languages = EnumSet.allOf(Language.class);
    for (int i = 0; i + 1 < arguments.length; i += 2) {
      switch (arguments[i]) {
        case "--in" -> in = Path.of(arguments[i + 1]);
        case "--out" -> out = Path.of(arguments[i + 1]);
        case "--languages" -> {
          languages = EnumSet.of(Language.EN);
          for (String each : arguments[i + 1].split(",")) {
            languages.add(Language.valueOf(each.strip().toUpperCase(Locale.ROOT)));
          }
        }
        default -> throw new IllegalArgumentException("Not known: " + arguments[i]);
      }
    }
    if (in == null || out == null) {
      System.err.println("bench/phrases --in FILE.jsonl --out RESULT.jsonl [--languages en,es,…]");
      System.exit(2);
    }
    try (BufferedReader from = Files.newBufferedReader(in);
        BufferedWriter to = Files.newBufferedWriter(out)) {
      for (String line = from.readLine(); line != null; line = from.readLine()) {
        if (!line.isBlank()) {
          to.write(JSON.writeValueAsString(said(JSON.readTree(line), languages)));
          to.newLine();
        }
      }
    }
  }

  private static ObjectNode said(JsonNode phrase, Set<Language> languages) {
    String words = phrase.path("words").asString("");
    ObjectNode made = JSON.createObjectNode();
    made.put("words", words);
    made.put("keyword", Keywords.read(words, languages).map(Keyword::name).map(name -> name.toLowerCase(Locale.ROOT)).orElse(null));
    made.put("asksToStop", StopWish.isIn(words, languages));
    made.put("wrongNumber", WrongNumber.isSaidIn(words));
    return made;
  }
}
