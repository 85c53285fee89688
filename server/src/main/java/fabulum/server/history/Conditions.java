package fabulum.server.history;

import fabulum.core.search.WordQuery;
import fabulum.server.history.MeaningKeeper.Means;
import fabulum.server.inbox.Place;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.Query;
import org.springframework.stereotype.Component;

/** What a choice asks for as a condition on the index of words, meaning and all. */
@Component
class Conditions {
  /** The most texts that are found by meaning. */
  private static final int MOST_ALIKE = 60;

  private final MeaningKeeper meanings;

  Conditions(MeaningKeeper meanings) {
    this.meanings = meanings;
  }

  Query of(WordIndex index, Choice choice, WordQuery words) throws IOException {
    return choice.meant().isEmpty()
        ? new WordConditions(index.stems()).of(choice, words)
        : alike(choice, closest(index, choice));
  }

  private static Query alike(Choice choice, List<Long> closest) {
    return new BooleanQuery.Builder()
        .add(choice.facts(), Occur.FILTER)
        .add(WordIndex.oneOf(closest), Occur.FILTER)
        .build();
  }

  private List<Long> closest(WordIndex index, Choice choice) throws IOException {
    Optional<Means> means = meanings.find();
    if (means.isEmpty()) {
      return List.of();
    }
    float[] wanted = means.get().model().of(choice.meant().orElseThrow());
    return means.get().index().closest(wanted, index.ids(choice.facts()), MOST_ALIKE);
  }

  /** Entries that mean about the same, the closest first. */
  List<Place> alike(WordIndex index, Choice choice) throws IOException {
    List<Long> closest = closest(index, choice);
    Map<Long, Place> places =
        index.search(alike(choice, closest), null, MOST_ALIKE).places().stream()
            .collect(Collectors.toMap(Place::id, Function.identity()));
    return closest.stream().map(places::get).filter(Objects::nonNull).toList();
  }

  /** How much can be found by what it means by now, 0 to 100 %. */
  int percent() {
    return meanings.isPossible() && !meanings.isFailing() ? meanings.percent() : 100;
  }

  /** What a person who looks for a meaning is told. */
  List<String> hints() {
    if (!meanings.isPossible()) {
      return List.of("This installation cannot look for meanings. Look for words instead.");
    }
    return List.of(
        meanings.isFailing()
            ? "Texts cannot be found by their meaning at the moment. Look for words instead."
            : "Up to " + MOST_ALIKE + " texts that mean about the same, the closest first.");
  }
}
