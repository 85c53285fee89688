package fabulum.server.history;

import java.io.IOException;
import java.util.function.BiConsumer;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.NumericDocValues;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.SimpleCollector;

/** Takes two numbers of everything that a search finds. */
final class IndexedNumbers extends SimpleCollector {
  private final String first;
  private final String second;
  private final BiConsumer<Long, Long> each;
  private NumericDocValues firsts = DocValues.emptyNumeric();
  private NumericDocValues seconds = DocValues.emptyNumeric();

  IndexedNumbers(String first, String second, BiConsumer<Long, Long> each) {
    this.first = first;
    this.second = second;
    this.each = each;
  }

  @Override
  protected void doSetNextReader(LeafReaderContext leaf) throws IOException {
    firsts = DocValues.getNumeric(leaf.reader(), first);
    seconds = DocValues.getNumeric(leaf.reader(), second);
  }

  @Override
  public void collect(int doc) throws IOException {
    if (firsts.advanceExact(doc) && seconds.advanceExact(doc)) {
      each.accept(firsts.longValue(), seconds.longValue());
    }
  }

  @Override
  public ScoreMode scoreMode() {
    return ScoreMode.COMPLETE_NO_SCORES;
  }
}
