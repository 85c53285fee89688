package fabulum.core.identify;

import fabulum.core.meaning.Meaning;
import java.util.ArrayList;
import java.util.List;

/**
 * What is needed to weigh texts by what they mean.
 *
 * @param meaning where words lie, at length 1
 * @param manner how a text reads
 */
record Sense(Meaning meaning, Manner manner) {
  private static final Manner FITTED = Manner.fitted();

  static Sense of(Meaning meaning) {
    return new Sense(meaning, FITTED);
  }

  /** Evidence for or against "nobody we know" from how an inquiry reads. */
  List<Evidence> stranger(Inquiry inquiry) {
    double strange = manner.of(meaning.of(MeaningClues.text(inquiry)));
    List<Evidence> found = new ArrayList<>();
    if (strange > 0) {
      found.add(new Evidence(Clue.READS_STRANGE, strange, "Reads as strangers write."));
    } else if (strange < 0) {
      found.add(new Evidence(Clue.READS_FAMILIAR, -strange, "Reads as customers write."));
    }
    return found;
  }
}
