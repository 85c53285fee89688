package fabulum.server.several;

import fabulum.server.conversations.Moment;
import org.jspecify.annotations.Nullable;

/**
 * What is to be done with each.
 *
 * @param topicId for {@link What#TOPIC}
 * @param moment for {@link What#SET_ASIDE}
 * @param words for {@link What#TEXT}
 */
public record BatchAct(
    What what, @Nullable Long topicId, @Nullable Moment moment, @Nullable String words) {

  /** Acts that can be done with several. */
  public enum What {
    TOPIC,
    SET_ASIDE,
    DONE,
    TEXT
  }
}
