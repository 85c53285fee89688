package fabulum.core.identify;

import java.util.List;

/**
 * Who probably writes.
 *
 * @param likely best first
 * @param nobody how likely it is nobody on file, 0 to 1
 * @param nobodysEvidence why
 */
public record Ranking(List<Likely> likely, double nobody, List<Weighed> nobodysEvidence) {
  public Ranking {
    likely = List.copyOf(likely);
    nobodysEvidence = List.copyOf(nobodysEvidence);
  }

  /**
   * A customer who may be the writer.
   *
   * @param likelihood 0 to 1; of all candidates and nobody together 1
   * @param evidence the weightiest first
   */
  public record Likely(long customer, double likelihood, List<Weighed> evidence) {
    public Likely {
      evidence = List.copyOf(evidence);
    }
  }

  /**
   * Evidence with what it counts.
   *
   * @param points natural logarithm of the factor by which it changes the odds
   */
  public record Weighed(Evidence evidence, double points) {}
}
