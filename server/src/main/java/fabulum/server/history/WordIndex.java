package fabulum.server.history;

import fabulum.core.search.Terms;
import fabulum.core.text.Language;
import fabulum.server.history.store.SaidRow;
import fabulum.server.inbox.Place;
import java.io.Closeable;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.apache.lucene.analysis.core.KeywordAnalyzer;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.Field;
import org.apache.lucene.document.FieldType;
import org.apache.lucene.document.LongPoint;
import org.apache.lucene.document.NumericDocValuesField;
import org.apache.lucene.document.StringField;
import org.apache.lucene.index.IndexOptions;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.index.MergePolicy;
import org.apache.lucene.index.Term;
import org.apache.lucene.index.TieredMergePolicy;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.FieldDoc;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.IndexSortSortedNumericDocValuesRangeQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.SearcherManager;
import org.apache.lucene.search.Sort;
import org.apache.lucene.search.SortField;
import org.apache.lucene.search.TermInSetQuery;
import org.apache.lucene.search.TopDocs;
import org.apache.lucene.search.TopFieldCollectorManager;
import org.apache.lucene.search.TotalHits;
import org.apache.lucene.store.FSDirectory;
import org.apache.lucene.util.BytesRef;
import org.jspecify.annotations.Nullable;

/**
 * The words of all entries, in a folder beside the database. It is sorted by time, the newest
 * first, so a search ends as soon as a page is full. What it finds is read from the database and
 * looked at again before anyone sees it.
 */
final class WordIndex implements Closeable {
  /** Raised when entries are kept in another way; an index of another number is made anew. */
  private static final String FORMAT = "2";

  private static final String ID = "id";
  private static final String AT = "at";
  static final String WORDS = "words";
  static final String LINE = "line";
  static final String CONVERSATION = "conversation";
  static final String FACT = "fact";

  /** Further hits are not counted. */
  static final int MOST_COUNTED = 1_000;

  private static final double BUFFER_MB = 24;
  private static final Sort NEWEST =
      new Sort(
          new SortField(AT, SortField.Type.LONG, true),
          new SortField(ID, SortField.Type.LONG, true));
  private static final FieldType POSITIONS = positions();

  private final IndexWriter writer;
  private final SearcherManager searchers;
  private final List<Language> languages;
  private final String database;

  private static FieldType positions() {
    FieldType type = new FieldType();
    type.setTokenized(true);
    type.setOmitNorms(true);
    type.setIndexOptions(IndexOptions.DOCS_AND_FREQS_AND_POSITIONS);
    type.freeze();
    return type;
  }

  /**
   * Opens the index in a folder, or begins one there.
   *
   * @param database names the database, so that the index of another one is not taken for its own
   * @throws IOException when it cannot be read or written
   */
  WordIndex(Path folder, Collection<Language> languages, String database) throws IOException {
    this.database = database;
    this.languages = List.copyOf(new TreeSet<>(languages));
    FSDirectory directory = FSDirectory.open(folder);
    IndexWriterConfig config =
        new IndexWriterConfig(new KeywordAnalyzer())
            .setIndexSort(NEWEST)
            .setRAMBufferSizeMB(BUFFER_MB)
            .setMergePolicy(forgetting())
            .setCommitOnClose(false);
    this.writer = new IndexWriter(directory, config);
    this.searchers = new SearcherManager(writer, null);
  }

  /** Removed entries leave the disk when that is asked for, however few of a file they are. */
  static MergePolicy forgetting() {
    return new TieredMergePolicy().setForceMergeDeletesPctAllowed(0);
  }

  /**
   * How much of the database is in the index.
   *
   * @param feed every change up to this number of the feed
   * @param below entries with ids below this one are still to be read; 0 when all are
   */
  record Progress(long feed, long below) {}

  /** How far it was committed; null when it is new, or of another format, database or languages. */
  @Nullable Progress progress() {
    Map<String, String> data = new HashMap<>();
    if (writer.getLiveCommitData() != null) {
      writer.getLiveCommitData().forEach(each -> data.put(each.getKey(), each.getValue()));
    }
    boolean fits =
        FORMAT.equals(data.get("format"))
            && database.equals(data.get("database"))
            && codes().equals(data.get("languages"));
    return fits
        ? new Progress(Long.parseLong(data.get("feed")), Long.parseLong(data.get("below")))
        : null;
  }

  private String codes() {
    return languages.stream().map(Language::code).collect(Collectors.joining(" "));
  }

  /** Whether it was made for these languages. */
  boolean isFor(Collection<Language> wanted) {
    return languages.equals(List.copyOf(new TreeSet<>(wanted)));
  }

  LanguageStemmer stems() {
    return new LanguageStemmer(languages);
  }

  /** Makes everything durable that was put so far. */
  void commit(Progress progress) throws IOException {
    writer.setLiveCommitData(
        Map.of(
                "format", FORMAT,
                "database", database,
                "languages", codes(),
                "feed", String.valueOf(progress.feed()),
                "below", String.valueOf(progress.below()))
            .entrySet());
    writer.commit();
  }

  void clear() throws IOException {
    writer.deleteAll();
  }

  /** Puts entries in place of what was known of them. */
  void put(List<IndexedEntry> entries) throws IOException {
    LanguageStemmer stems = stems();
    for (IndexedEntry entry : entries) {
      writer.updateDocument(term(entry.row().id()), document(entry, stems));
    }
  }

  void remove(Collection<Long> entries) throws IOException {
    writer.deleteDocuments(entries.stream().map(WordIndex::term).toArray(Term[]::new));
  }

  /** Forgets all of a conversation. */
  void removeConversation(long conversation) throws IOException {
    writer.deleteDocuments(LongPoint.newExactQuery(CONVERSATION, conversation));
  }

  /** Takes what was removed off the disk as well. */
  void purge() throws IOException {
    writer.forceMergeDeletes();
  }

  private static Term term(long id) {
    return new Term(ID + "s", String.valueOf(id));
  }

  private static Document document(IndexedEntry entry, LanguageStemmer stems) {
    SaidRow row = entry.row();
    Document document = new Document();
    document.add(new StringField(ID + "s", String.valueOf(row.id()), Field.Store.NO));
    document.add(new NumericDocValuesField(ID, row.id()));
    document.add(new NumericDocValuesField(AT, row.at().toEpochMilli()));
    document.add(new LongPoint(AT, row.at().toEpochMilli()));
    document.add(new LongPoint(LINE, row.lineId()));
    document.add(new LongPoint(CONVERSATION, row.conversationId()));
    for (String fact : EntryFacts.of(entry)) {
      document.add(new StringField(FACT, fact, Field.Store.NO));
    }
    document.add(new Field(WORDS, new EntryTokens(Terms.of(entry.words()), stems), POSITIONS));
    return document;
  }

  /** Shows searches what was put so far. */
  void refresh() throws IOException {
    searchers.maybeRefreshBlocking();
  }

  /** A condition on time: from an instant, and before another; null for open ends. */
  static Query between(@Nullable Instant from, @Nullable Instant before) {
    long first = from == null ? Long.MIN_VALUE : from.toEpochMilli();
    long last = before == null ? Long.MAX_VALUE : before.toEpochMilli() - 1;
    return new IndexSortSortedNumericDocValuesRangeQuery(
        AT, first, last, LongPoint.newRangeQuery(AT, first, last));
  }

  /**
   * What a search found.
   *
   * @param places of the entries, the newest first
   * @param count of all, as far as they are counted
   * @param many there are at least {@link #MOST_COUNTED}
   */
  record Found(List<Place> places, int count, boolean many) {}

  /** Work that is done with one state of the index. */
  @FunctionalInterface
  interface Look<T> {
    T at(IndexReader reader) throws IOException;
  }

  <T> T look(Look<T> look) throws IOException {
    IndexSearcher searcher = searchers.acquire();
    try {
      return look.at(searcher.getIndexReader());
    } finally {
      searchers.release(searcher);
    }
  }

  /** The ids of all entries that fit. */
  BitSet ids(Query wanted) throws IOException {
    BitSet ids = new BitSet();
    IndexSearcher searcher = searchers.acquire();
    try {
      searcher.search(
          wanted, new IndexedNumbers(ID, ID, (id, same) -> ids.set(Math.toIntExact(id))));
    } finally {
      searchers.release(searcher);
    }
    return ids;
  }

  /** A condition on ids: one of these. */
  static Query oneOf(Collection<Long> ids) {
    return new TermInSetQuery(
        ID + "s", ids.stream().map(id -> new BytesRef(String.valueOf(id))).toList());
  }

  /**
   * The newest entries that fit.
   *
   * @param after they come after this place; null for the first ones, which are counted
   */
  Found search(Query wanted, @Nullable Place after, int limit) throws IOException {
    IndexSearcher searcher = searchers.acquire();
    try {
      return search(searcher, wanted, after, limit);
    } finally {
      searchers.release(searcher);
    }
  }

  private static Found search(
      IndexSearcher searcher, Query wanted, @Nullable Place after, int limit) throws IOException {
    Query query = wanted;
    FieldDoc place = null;
    if (after != null) {
      query =
          new BooleanQuery.Builder()
              .add(wanted, Occur.FILTER)
              .add(between(null, after.at().plusMillis(1)), Occur.FILTER)
              .build();
      Object[] fields = {after.at().toEpochMilli(), after.id()};
      place = new FieldDoc(Integer.MAX_VALUE, Float.NaN, fields);
    }
    TopDocs found =
        searcher.search(
            query,
            new TopFieldCollectorManager(NEWEST, limit, place, after == null ? MOST_COUNTED : 1));
    long count = found.totalHits.value;
    boolean many =
        found.totalHits.relation == TotalHits.Relation.GREATER_THAN_OR_EQUAL_TO
            || count >= MOST_COUNTED;
    List<Place> places = new ArrayList<>();
    for (ScoreDoc each : found.scoreDocs) {
      Object[] fields = ((FieldDoc) each).fields;
      places.add(new Place(Instant.ofEpochMilli((Long) fields[0]), (Long) fields[1]));
    }
    return new Found(places, (int) Math.min(count, MOST_COUNTED), many);
  }

  @Override
  public void close() throws IOException {
    searchers.close();
    writer.close();
    writer.getDirectory().close();
  }
}
