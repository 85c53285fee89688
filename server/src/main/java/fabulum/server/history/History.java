package fabulum.server.history;

import fabulum.core.search.WordQuery;
import fabulum.core.sentence.HistorySentence;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.InSight;
import fabulum.server.history.NearMisses.Instead;
import fabulum.server.history.WordIndex.Found;
import fabulum.server.inbox.Place;
import fabulum.server.platform.Problem;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.apache.lucene.search.Query;
import org.apache.lucene.store.AlreadyClosedException;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** All texts, notes and events, as far as someone sees them, found by a sentence. */
@Service
public class History {
  /** The most entries of one script in which something is found. */
  private static final int MOST_WITHIN = 1_000;

  private static final int STRETCH = 1_000;

  /** So often a page is filled up again when what was found is not to be shown. */
  private static final int MOST_ROUNDS = 40;

  private final IndexKeeper keeper;
  private final SentenceConditions sentences;
  private final Conditions conditions;
  private final FoundEntries found;
  private final InSight inSight;

  History(
      IndexKeeper keeper,
      SentenceConditions sentences,
      Conditions conditions,
      FoundEntries found,
      InSight inSight) {
    this.keeper = keeper;
    this.sentences = sentences;
    this.conditions = conditions;
    this.found = found;
    this.inSight = inSight;
  }

  /**
   * A stretch of what a sentence means, the newest first.
   *
   * @param from where it begins; null for at the newest
   */
  public HistoryPage page(
      HistorySentence sentence, @Nullable Place from, int limit, StaffId asking) {
    Choice choice = sentences.of(sentence, asking);
    return withIndex(index ->
        choice.meant().isPresent()
            ? alike(index, choice, asking)
            : page(index, sentence, choice, from, limit, asking));
  }

  /** Whether all that was said can be found, and not only a part of it so far. */
  public boolean isComplete() {
    return keeper.upToDate().isPresent() && keeper.percent() == 100;
  }

  /** Takes one stretch after the other of all that was said. */
  @FunctionalInterface
  public interface Walker {
    /**
     * Takes a stretch, the oldest first.
     *
     * @param total how many were found in all
     */
    void take(List<HistoryRowView> some, int total) throws IOException;
  }

  /**
   * All that a sentence means, in the order of time, stretch by stretch. What changes meanwhile is
   * in it as it is when its stretch is read; what somebody sees no longer is left out.
   */
  public void walk(HistorySentence sentence, StaffId asking, Walker walker) throws IOException {
    WordIndex index = keeper.upToDate().orElseThrow(History::cannotSearch);
    Choice choice = sentences.of(sentence, asking);
    LanguageStemmer stems = index.stems();
    Query query = conditions.of(index, choice, choice.words());
    List<Place> places = new ArrayList<>();
    List<Place> some;
    do {
      Place last = places.isEmpty() ? null : places.get(places.size() - 1);
      some = index.search(query, last, STRETCH).places();
      places.addAll(some);
    } while (some.size() == STRETCH);
    Collections.reverse(places);
    for (int i = 0; i < places.size(); i += STRETCH) {
      List<Place> next = places.subList(i, Math.min(places.size(), i + STRETCH));
      walker.take(found.of(next, choice, choice.words(), stems, asking), places.size());
    }
  }

  /** Entries of one script that have the words, the newest first; at most 1,000. */
  public HistoryPage within(ConversationId id, String words, StaffId asking) {
    Choice choice = sentences.within(inSight.row(id, asking), words);
    return withIndex(index -> {
      if (choice.words().isEmpty()) {
        return new HistoryPage(List.of(), null, 0, false, choice.words().hints(), List.of(), 100);
      }
      Pages pages = new Pages(index, choice, choice.words(), asking);
      List<HistoryRowView> rows = pages.rows(null, MOST_WITHIN);
      return new HistoryPage(
          rows, null, rows.size(), false, choice.words().hints(), List.of(), keeper.percent());
    });
  }

  /** Work that needs the index. */
  @FunctionalInterface
  private interface WithIndex<T> {
    T with(WordIndex index) throws IOException;
  }

  private <T> T withIndex(WithIndex<T> work) {
    WordIndex index = keeper.upToDate().orElseThrow(History::cannotSearch);
    try {
      return work.with(index);
    } catch (AlreadyClosedException closed) {
      throw cannotSearch();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Problem cannotSearch() {
    return Problem.conflict(
        Problem.Kind.CANNOT_SEARCH,
        "History cannot be searched at the moment. Nothing is lost; Fabulum tries again by itself."
            + " If this lasts, ask a lead to look at the folder of the data.");
  }

  private HistoryPage page(
      WordIndex index,
      HistorySentence sentence,
      Choice choice,
      @Nullable Place from,
      int limit,
      StaffId asking)
      throws IOException {
    Pages pages = new Pages(index, choice, choice.words(), asking);
    List<HistoryRowView> rows = pages.rows(from, limit + 1);
    boolean more = rows.size() > limit;
    List<HistoryRowView> shown = more ? rows.subList(0, limit) : rows;
    Found first = pages.first;
    boolean nothing = from == null && rows.isEmpty() && !choice.words().sought().isEmpty();
    return new HistoryPage(
        List.copyOf(shown),
        more ? place(shown.get(shown.size() - 1)).text() : null,
        first == null || from != null ? null : more ? first.count() : rows.size(),
        first != null && first.many(),
        choice.words().hints(),
        nothing ? nearMisses(index, sentence, choice, asking) : List.of(),
        keeper.percent());
  }

  /** What means about the same, the closest first; there is no further stretch. */
  private HistoryPage alike(WordIndex index, Choice choice, StaffId asking) throws IOException {
    List<Place> places = conditions.alike(index, choice);
    List<HistoryRowView> rows = found.of(places, choice, choice.words(), index.stems(), asking);
    int percent = Math.min(keeper.percent(), conditions.percent());
    return new HistoryPage(rows, null, rows.size(), false, conditions.hints(), List.of(), percent);
  }

  private static Place place(HistoryRowView row) {
    return new Place(row.entry().at(), row.entry().id());
  }

  private List<String> nearMisses(
      WordIndex index, HistorySentence sentence, Choice choice, StaffId asking) throws IOException {
    List<Instead> near = index.look(reader -> new NearMisses(reader).of(choice.words()));
    return new DidYouMean(words -> !new Pages(index, choice, words, asking).rows(null, 1).isEmpty())
        .of(sentence.mention(), choice.words(), near);
  }

  /** Stretches of what one choice means. */
  private final class Pages {
    private final WordIndex index;
    private final Choice choice;
    private final WordQuery words;
    private final StaffId asking;
    private final LanguageStemmer stems;
    private final Query query;
    private @Nullable Found first;

    Pages(WordIndex index, Choice choice, WordQuery words, StaffId asking) throws IOException {
      this.index = index;
      this.choice = choice;
      this.words = words;
      this.asking = asking;
      this.stems = index.stems();
      this.query = conditions.of(index, choice, words);
    }

    List<HistoryRowView> rows(@Nullable Place from, int limit) throws IOException {
      List<HistoryRowView> rows = new ArrayList<>();
      Place at = from;
      boolean more = true;
      for (int round = 0; more && rows.size() < limit && round < MOST_ROUNDS; round++) {
        Found some = index.search(query, at, limit);
        first = first == null ? some : first;
        more = some.places().size() == limit;
        found.of(some.places(), choice, words, stems, asking).stream()
            .limit(limit - rows.size())
            .forEach(rows::add);
        at = more ? some.places().get(limit - 1) : at;
      }
      return rows;
    }
  }
}
