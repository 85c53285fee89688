package fabulum.core.suggest;

import fabulum.core.meaning.Meaning;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Fits the weights of suggestions to the tuned half of labelled sets: a choice between the
 * templates and "none of them" by their features, by the steps of Adam with a little weight decay.
 * Prints the weights. Started by bench/suggest --fit.
 */
public final class SuggestFit {
  private static final int STEPS = 1_500;
  private static final double RATE = 0.03;
  private static final double DECAY = 3e-4;

  private record Case(double[][] of, double[] none, boolean[] right) {}

  public static void main(String[] arguments) throws Exception {
    for (boolean byMeaning : new boolean[] {true, false}) {
      List<Case> cases = new ArrayList<>();
      for (String file : arguments) {
        cases.addAll(read(Files.readString(Path.of(file)), byMeaning));
      }
      double[] fitted = fit(cases);
      int features = cases.get(0).of()[0].length;
      System.out.println((byMeaning ? "meaning " : "letters ") + words(fitted, 0, features));
      System.out.println("   none " + words(fitted, features, fitted.length));
    }
  }

  private static String words(double[] all, int from, int to) {
    return Arrays.stream(all, from, to).mapToObj("%.2f"::formatted).toList().toString();
  }

  private static List<Case> read(String text, boolean byMeaning) {
    JsonNode set = JsonMapper.builder().build().readTree(text);
    Optional<Meaning> meaning =
        byMeaning ? ServiceLoader.load(Meaning.class).findFirst().map(Meaning::fine) : Optional.empty();
    Suggester suggester = new Suggester(meaning);
    Map<String, Long> ids = new HashMap<>();
    for (JsonNode one : set.path("templates")) {
      long id = ids.size() + 1L;
      ids.put(one.path("key").asString(), id);
      suggester.know(id, one.path("title").asString(), one.path("words").asString());
    }
    long number = 0;
    for (JsonNode one : set.path("history")) {
      long template = ids.getOrDefault(one.path("answeredWith").asString(""), 0L);
      suggester.learn(new Lesson(++number, template, one.path("asked").asString()));
    }
    List<Case> cases = new ArrayList<>();
    for (JsonNode one : set.path("cases")) {
      if (one.path("half").asString("").equals("tuned")) {
        Set<Long> truth = new HashSet<>();
        one.path("truth").forEach(key -> truth.add(ids.get(key.asString())));
        Compared compared = suggester.compare(one.path("asked").asString(), id -> true);
        if (compared.isByMeaning() != byMeaning) {
          continue;
        }
        double[][] of = new double[ids.size()][];
        boolean[] right = new boolean[ids.size() + 1];
        for (long id = 1; id <= ids.size(); id++) {
          of[(int) id - 1] = compared.of(id);
          right[(int) id - 1] = truth.contains(id);
        }
        right[ids.size()] = truth.isEmpty();
        cases.add(new Case(of, compared.none(), right));
      }
    }
    return cases;
  }

  private static double[] fit(List<Case> cases) {
    int features = cases.get(0).of()[0].length;
    int size = features + 1 + cases.get(0).none().length;
    double[] at = new double[size];
    double[] mean = new double[size];
    double[] square = new double[size];
    for (int step = 1; step <= STEPS; step++) {
      double[] slope = new double[size];
      cases.forEach(one -> add(slope, one, at, features));
      for (int i = 0; i < size; i++) {
        double g = slope[i] / cases.size() - (i == features ? 0 : DECAY * at[i]);
        mean[i] = 0.9 * mean[i] + 0.1 * g;
        square[i] = 0.999 * square[i] + 0.001 * g * g;
        double m = mean[i] / (1 - Math.pow(0.9, step));
        at[i] += RATE * m / (Math.sqrt(square[i] / (1 - Math.pow(0.999, step))) + 1e-8);
      }
    }
    return at;
  }

  private static void add(double[] slope, Case one, double[] at, int features) {
    int n = one.of().length;
    double[] score = new double[n + 1];
    for (int t = 0; t < n; t++) {
      for (int i = 0; i < features; i++) {
        score[t] += at[i] * one.of()[t][i];
      }
    }
    score[n] = at[features];
    for (int i = 0; i < one.none().length; i++) {
      score[n] += at[features + 1 + i] * one.none()[i];
    }
    double most = Arrays.stream(score).max().orElse(0);
    double all = 0;
    double right = 0;
    for (int t = 0; t <= n; t++) {
      score[t] = Math.exp(score[t] - most);
      all += score[t];
      right += one.right()[t] ? score[t] : 0;
    }
    for (int t = 0; t <= n; t++) {
      double error = (one.right()[t] ? score[t] / right : 0) - score[t] / all;
      if (t < n) {
        for (int i = 0; i < features; i++) {
          slope[i] += error * one.of()[t][i];
        }
      } else {
        slope[features] += error;
        for (int i = 0; i < one.none().length; i++) {
          slope[features + 1 + i] += error * one.none()[i];
        }
      }
    }
  }
}
