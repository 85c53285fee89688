package fabulum.server.conversations;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fabulum.server.people.StaffId;
import fabulum.server.platform.Problem;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * Takes back what was done a moment ago. Steps are kept for two minutes, in memory only: after that
 * one does the opposite.
 */
@Service
public class Undoing {
  private static final Duration KEPT = Duration.ofMinutes(2);
  private static final int MOST = 2_000;

  private final Acts acts;
  private final Cache<String, Kept> kept =
      Caffeine.newBuilder().maximumSize(MOST).expireAfterWrite(KEPT).build();

  Undoing(Acts acts) {
    this.acts = acts;
  }

  private record Kept(StaffId by, List<UndoStep> steps) {}

  /**
   * What taking back came to.
   *
   * @param undone conversations that are as they were
   * @param left conversations left alone, for something has happened to them since; by their names
   */
  public record TakenBack(int undone, List<String> left) {
    public TakenBack {
      left = List.copyOf(left);
    }
  }

  /** Keeps steps; the answer names them. Nothing for no steps. */
  public @Nullable String keep(StaffId by, List<UndoStep> steps) {
    if (steps.isEmpty()) {
      return null;
    }
    String name = UUID.randomUUID().toString();
    kept.put(name, new Kept(by, List.copyOf(steps)));
    return name;
  }

  /** Keeps one step, if there is one. */
  public @Nullable String keep(StaffId by, Optional<UndoStep> step) {
    return keep(by, step.stream().toList());
  }

  /** Takes back what one did oneself; each conversation on its own. */
  public TakenBack undo(String name, StaffId by) {
    Kept found = kept.getIfPresent(name);
    if (found == null || !found.by().equals(by)) {
      throw Problem.conflict(
          Problem.Kind.TOO_LATE, "That is too long ago to be taken back. Nothing was changed.");
    }
    int undone = 0;
    List<String> left = new ArrayList<>();
    for (UndoStep step : found.steps()) {
      if (acts.takeBack(step, by) == Acts.TakenBack.DONE) {
        undone++;
      } else {
        left.add(acts.name(step.conversation()));
      }
    }
    // Only what was taken back is gone: a failure on the way can be tried again.
    kept.invalidate(name);
    if (undone == 0) {
      throw Problem.conflict(
          Problem.Kind.CHANGED_MEANWHILE,
          "Something has happened there since, so it was left as it is.");
    }
    return new TakenBack(undone, left);
  }
}
