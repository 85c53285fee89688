package fabulum.server.lines;

import java.util.Set;

/** Lines somebody sees a little of, without their being a team's of theirs. */
public interface MoreLines {

  /** Lines on which there is something that was handed to one of these teams. */
  Set<Long> handedTo(Set<Long> teams);
}
