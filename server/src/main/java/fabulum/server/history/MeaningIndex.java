package fabulum.server.history;

import fabulum.core.meaning.PackedMeaning;
import fabulum.core.meaning.PackedMeaning.Comparison;
import java.io.Closeable;
import java.io.IOException;
import java.nio.file.Path;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Set;
import org.apache.lucene.analysis.core.KeywordAnalyzer;
import org.apache.lucene.document.BinaryDocValuesField;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.LongPoint;
import org.apache.lucene.document.NumericDocValuesField;
import org.apache.lucene.index.BinaryDocValues;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.NumericDocValues;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.SearcherManager;
import org.apache.lucene.store.FSDirectory;
import org.apache.lucene.util.Bits;
import org.apache.lucene.util.BytesRef;
import org.jspecify.annotations.Nullable;

/** What texts and notes mean, in a folder beside the index of words: a point for each. */
final class MeaningIndex implements Closeable {
  private static final String ID = "id";
  private static final String CONVERSATION = "conversation";
  private static final String WORDS = "words";
  private static final String POINT = "point";

  /** The most points from which the middle is computed. */
  private static final int FOR_THE_MIDDLE = 2_000;

  private static final int MOST_IN_THE_SAME_WORDS = 3;

  /** How many times more texts are kept while searching, since many may have the same words. */
  private static final int FOR_THE_SAME = 20;

  private final IndexWriter writer;
  private final SearcherManager searchers;

  MeaningIndex(Path folder) throws IOException {
    FSDirectory directory = FSDirectory.open(folder);
    this.writer =
        new IndexWriter(
            directory,
            new IndexWriterConfig(new KeywordAnalyzer())
                .setMergePolicy(WordIndex.forgetting())
                .setCommitOnClose(false));
    this.searchers = new SearcherManager(writer, null);
  }

  /**
   * A text with its meaning.
   *
   * @param words a hash of its words, to see whether they are still the same
   * @param point packed
   */
  record Meant(long id, long conversation, long words, byte[] point) {}

  void put(List<Meant> texts) throws IOException {
    remove(texts.stream().map(Meant::id).toList());
    for (Meant text : texts) {
      Document document = new Document();
      document.add(new LongPoint(ID, text.id()));
      document.add(new NumericDocValuesField(ID, text.id()));
      document.add(new LongPoint(CONVERSATION, text.conversation()));
      document.add(new NumericDocValuesField(WORDS, text.words()));
      document.add(new BinaryDocValuesField(POINT, new BytesRef(text.point())));
      writer.addDocument(document);
    }
  }

  void remove(Collection<Long> ids) throws IOException {
    if (!ids.isEmpty()) {
      writer.deleteDocuments(LongPoint.newSetQuery(ID, ids));
    }
  }

  /** Forgets all of a conversation. */
  void removeConversation(long conversation) throws IOException {
    writer.deleteDocuments(LongPoint.newExactQuery(CONVERSATION, conversation));
  }

  /** Takes what was removed off the disk as well. */
  void purge() throws IOException {
    writer.forceMergeDeletes();
  }

  /** Shows searches what was put so far. */
  void refresh() throws IOException {
    searchers.maybeRefreshBlocking();
  }

  void commit() throws IOException {
    writer.commit();
  }

  /** Hashes of the words of texts with ids from one up to before another, by id. */
  Map<Long, Long> words(long from, long before) throws IOException {
    Map<Long, Long> words = new HashMap<>();
    IndexSearcher searcher = searchers.acquire();
    try {
      searcher.search(
          LongPoint.newRangeQuery(ID, from, before - 1), new IndexedNumbers(ID, WORDS, words::put));
    } finally {
      searchers.release(searcher);
    }
    return words;
  }

  /**
   * A text, and how alike it is to what is wanted.
   *
   * @param words the hash of its words
   */
  private record Near(long id, long words, double likeness) {}

  /**
   * Texts that mean about the same. Of those in the very same words only a few are found, the
   * latest ones: a text that is sent every day would hide all others.
   *
   * @param wanted where the words lie
   * @param among ids of texts that may be found
   * @return ids of at most {@code most} texts, the closest first
   */
  List<Long> closest(float[] wanted, BitSet among, int most) throws IOException {
    IndexSearcher searcher = searchers.acquire();
    try {
      List<LeafReaderContext> leaves = searcher.getIndexReader().leaves();
      Comparison comparison = new Comparison(wanted, some(leaves, wanted.length));
      PriorityQueue<Near> near = new PriorityQueue<>(Comparator.comparingDouble(Near::likeness));
      for (LeafReaderContext leaf : leaves) {
        look(leaf, comparison, among, most * FOR_THE_SAME, near);
      }
      Double best = near.stream().map(Near::likeness).max(Double::compare).orElse(null);
      Map<Long, Integer> same = new HashMap<>();
      return near.stream()
          .filter(one -> PackedMeaning.isNear(one.likeness(), best))
          .sorted(Comparator.comparingDouble(Near::likeness).thenComparing(Near::id).reversed())
          .filter(one -> same.merge(one.words(), 1, Integer::sum) <= MOST_IN_THE_SAME_WORDS)
          .limit(most)
          .map(Near::id)
          .toList();
    } finally {
      searchers.release(searcher);
    }
  }

  private static List<byte[]> some(List<LeafReaderContext> leaves, int length) throws IOException {
    // What is said again and again is not the middle of everything.
    Set<BytesRef> some = new HashSet<>();
    for (LeafReaderContext leaf : leaves) {
      BinaryDocValues points = leaf.reader().getBinaryDocValues(POINT);
      while (points != null
          && some.size() < FOR_THE_MIDDLE
          && points.nextDoc() != DocIdSetIterator.NO_MORE_DOCS) {
        BytesRef point = points.binaryValue();
        if (point.length == length) {
          some.add(BytesRef.deepCopyOf(point));
        }
      }
    }
    return some.stream().map(point -> point.bytes).toList();
  }

  private static void look(
      LeafReaderContext leaf,
      Comparison comparison,
      BitSet among,
      int most,
      PriorityQueue<Near> near)
      throws IOException {
    NumericDocValues ids = leaf.reader().getNumericDocValues(ID);
    NumericDocValues words = DocValues.getNumeric(leaf.reader(), WORDS);
    BinaryDocValues points = leaf.reader().getBinaryDocValues(POINT);
    @Nullable Bits live = leaf.reader().getLiveDocs();
    if (ids == null || points == null) {
      return;
    }
    for (int doc = ids.nextDoc(); doc != DocIdSetIterator.NO_MORE_DOCS; doc = ids.nextDoc()) {
      boolean there = live == null || live.get(doc);
      if (there && among.get(Math.toIntExact(ids.longValue())) && points.advanceExact(doc)) {
        BytesRef point = points.binaryValue();
        double likeness = comparison.likeness(point.bytes, point.offset);
        if (PackedMeaning.isNear(likeness, null)) {
          long hash = words.advanceExact(doc) ? words.longValue() : 0;
          near.add(new Near(ids.longValue(), hash, likeness));
          if (near.size() > most) {
            near.poll();
          }
        }
      }
    }
  }

  @Override
  public void close() throws IOException {
    searchers.close();
    writer.close();
    writer.getDirectory().close();
  }
}
