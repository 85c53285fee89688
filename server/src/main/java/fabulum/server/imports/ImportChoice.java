package fabulum.server.imports;

import fabulum.core.imports.Subject;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * How a file is to be read, and what becomes of its rows.
 *
 * @param subject what the file is about; null to guess
 * @param encoding null to guess
 * @param separator null to guess
 * @param headed whether the first row has the titles; null to guess
 * @param targets what each column is about, as {@code NAME} or {@code DETAIL 3}; null to guess
 * @param list the id of a customer list on which they are put; null for none
 * @param answers by line: the id of the customer it is, or 0 for another one
 * @param onlyGood whether rows that are refused are left out; else nothing is taken when one is
 */
public record ImportChoice(
    @Nullable Subject subject,
    @Nullable String encoding,
    @Nullable String separator,
    @Nullable Boolean headed,
    @Nullable List<String> targets,
    @Nullable Long list,
    @Nullable Map<Long, Long> answers,
    boolean onlyGood) {

  /** Everything is guessed. */
  static final ImportChoice GUESSED =
      new ImportChoice(null, null, null, null, null, null, null, false);

  @Nullable Long answer(long line) {
    return answers == null ? null : answers.get(line);
  }
}
