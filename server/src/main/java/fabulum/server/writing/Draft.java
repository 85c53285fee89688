package fabulum.server.writing;

import fabulum.server.conversations.Entry;
import org.jspecify.annotations.Nullable;

/**
 * Words begun and not yet sent.
 *
 * @param seen the newest entry that stood there when they were begun
 * @param reference under which they will be sent
 * @param again the text that was not delivered and that they replace
 * @param template from which they were made
 * @param templateVersion the version of that template
 */
public record Draft(
    Paper paper,
    String words,
    @Nullable Long seen,
    @Nullable String reference,
    @Nullable Long again,
    @Nullable Long template,
    @Nullable Long templateVersion) {

  /** The words of a text that has never left. */
  public static Draft of(Entry text) {
    return new Draft(Paper.REPLY, text.typedWords(), text.id(), null, null, null, null);
  }

  Draft saying(String others) {
    return new Draft(paper, others, seen, reference, again, template, templateVersion);
  }
}
