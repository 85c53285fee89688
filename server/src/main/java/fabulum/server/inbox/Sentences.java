package fabulum.server.inbox;

import fabulum.core.sentence.Sentence;
import fabulum.core.sentence.SentenceText;
import fabulum.server.platform.Problem;

/** Reads sentences that callers send. */
public final class Sentences {
  private Sentences() {}

  /**
   * Reads a sentence as an address carries it; nothing is everything.
   *
   * @throws Problem that names the part which cannot be read
   */
  public static Sentence read(String text) {
    return Problem.reading("sentence", () -> SentenceText.read(text));
  }
}
