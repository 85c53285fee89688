package fabulum.server.live;

import java.io.IOException;

/** A browser that listens. */
@FunctionalInterface
public interface Listener {

  /**
   * Tells it. May block for as long as the browser stalls.
   *
   * @param position where the stream then stands
   * @throws IOException when it has gone away
   */
  void tell(String position, LiveMessage message) throws IOException;

  /** Nothing more is told, for the server has ended it. */
  default void ended() {}
}
