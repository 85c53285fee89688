package fabulum.meaning;

import fabulum.core.suggest.Suggester;
import java.io.BufferedOutputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;

/** Writes down where the texts lie that every business is compared with, by the model. Started by bench/suggest --known. */
public final class SuggestKnown {
  public static void main(String[] arguments) throws Exception {
    Path file = Path.of(arguments[0]);
    Files.createDirectories(file.getParent());
    FineMeaning model = new SentenceMeaning().fine();
    try (OutputStream to = new BufferedOutputStream(Files.newOutputStream(file))) {
      KnownPoints.write(Suggester.fixedTexts(), model::computed, to);
    }
    System.out.printf("%d texts, %d bytes%n", Suggester.fixedTexts().size(), Files.size(file));
  }
}
