package fabulum.core.sentence;

import java.util.OptionalLong;
import java.util.Set;

/**
 * What is known of a conversation without reading it.
 *
 * @param team that has the line
 * @param startedBy the colleague who began it, when it was one of us
 * @param failed our last text was not delivered
 */
public record Facts(
    long line,
    long site,
    long team,
    OptionalLong owner,
    OptionalLong startedBy,
    Set<Long> topics,
    boolean toIdentify,
    boolean failed) {

  public Facts {
    topics = Set.copyOf(topics);
  }
}
