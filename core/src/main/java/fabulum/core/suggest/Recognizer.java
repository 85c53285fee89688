package fabulum.core.suggest;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;

/** Recognizes the template in an answer that was typed, or changed after it was put in. */
public final class Recognizer {
  /** From here on an answer says what the template says; others share a word or two. */
  private static final float CLOSE = 0.5f;

  private final LetterIndex index = new LetterIndex(List.of());
  private final List<Long> templates = new ArrayList<>();

  /** Takes in what a template says, without its placeholders. */
  public void know(long template, String words) {
    index.add(LetterGroups.of(words));
    templates.add(template);
  }

  /** The template that an answer is close to; empty when there is none. */
  public OptionalLong find(String answer) {
    float[] like = index.likeness(LetterGroups.of(answer));
    int best = -1;
    for (int i = 0; i < like.length; i++) {
      if (like[i] >= CLOSE && (best < 0 || like[i] > like[best])) {
        best = i;
      }
    }
    return best < 0 ? OptionalLong.empty() : OptionalLong.of(templates.get(best));
  }
}
