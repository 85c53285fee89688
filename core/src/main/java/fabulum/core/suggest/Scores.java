package fabulum.core.suggest;

/**
 * How what is known of a template and a question is weighed: a logistic choice between the
 * templates and "none of them", fitted on the tuned half of the labelled sets ({@code
 * docs/suggestions.md}).
 *
 * @param of weights of a template's features
 * @param none the bias of "none of them", then weights of its features
 */
record Scores(double[] of, double[] none) {
  /**
   * Of a template: nearest question, nearest three, title, words by meaning; nearest question,
   * nearest three, title and words by letters; how far it is about the same common asks, how near
   * both are to one of them, and how far the question lies in the mean direction of all that is
   * known of the template. Of none: nearest everyday talk, nearest five of it, nearest question
   * without a template by meaning, and by letters; nearest common ask, nearest three of them; how
   * many words the question has, up to eight (the logarithm).
   */
  static final Scores MEANING =
      new Scores(
          new double[] {4.59, 3.90, -0.31, 0.34, 1.14, 0.56, 1.29, 3.80, 6.60, 3.80},
          new double[] {8.36, 8.01, 6.05, 0.75, -0.37, -2.69, -2.18, -2.17});

  /** The same by letters alone. */
  static final Scores LETTERS =
      new Scores(new double[] {9.58, 7.94, 4.27}, new double[] {3.33, 1.68});

  double score(double[] features) {
    return sum(of, features, 0);
  }

  double none(double[] features) {
    return none[0] + sum(none, features, 1);
  }

  private static double sum(double[] weights, double[] features, int from) {
    double sum = 0;
    for (int i = 0; i < features.length; i++) {
      sum += weights[from + i] * features[i];
    }
    return sum;
  }
}
