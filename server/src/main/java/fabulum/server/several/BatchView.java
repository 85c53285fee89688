package fabulum.server.several;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How far an act on several has come.
 *
 * @param total how many it was meant for, the skipped ones included
 * @param done how many it was done to
 * @param notDelivered texts of it that did not arrive, and why
 * @param running some are still to come
 * @param undo names all of it for taking back; empty where nothing can be
 */
public record BatchView(
    long id,
    BatchAct.What what,
    int total,
    int done,
    List<Skipped> skipped,
    List<Skipped> notDelivered,
    boolean running,
    @Nullable String undo) {
  public BatchView {
    skipped = List.copyOf(skipped);
    notDelivered = List.copyOf(notDelivered);
  }
}
