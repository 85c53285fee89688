package fabulum.core.meaning;

/**
 * Where words lie as seen from the middle of everyday talk, at length 1: so what all texts have in
 * common does not make them alike.
 */
public final class Viewpoint implements Meaning {
  private final Meaning model;
  private final float[] middle;

  /** Begins; asks the model for each sentence of {@link Everyday#TALK}. */
  public Viewpoint(Meaning model) {
    this.model = model;
    this.middle =
        Points.middle(Everyday.TALK.stream().map(words -> Points.unit(model.of(words))).toList());
  }

  @Override
  public float[] of(String words) {
    return Points.from(middle, Points.unit(model.of(words)));
  }
}
