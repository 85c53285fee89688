package fabulum.server.conversations;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.OnSharedProgram;
import java.util.List;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

@OnSharedProgram
class BookkeepingTest {
  private final Fabulum fabulum;
  private final Bookkeeping books;
  private final Browser maren;

  BookkeepingTest(Fabulum fabulum) {
    this.fabulum = fabulum;
    this.books = fabulum.context.getBean(Bookkeeping.class);
    this.maren = fabulum.signedIn("maren");
  }

  private long waiting(String words) {
    String number = fabulum.freshNumber();
    fabulum.webhook().text(number, Fabulum.YARD, words).require(200);
    return maren.conversationOf(number).path("id").asLong();
  }

  private static List<ConversationId> ids(LongStream all) {
    return all.mapToObj(ConversationId::new).toList();
  }

  private List<Long> found(List<ConversationId> ids) {
    return books.list(ids).stream().map(Conversation::id).sorted().toList();
  }

  @Test
  void ofAnyNumberOfIdsThoseThatAreThereAreFoundOnce() {
    long one = waiting("one");
    long other = waiting("other");
    List<Long> there =
        fabulum.tables.queryForList("select id from conversation order by id", Long.class);
    assertThat(there).contains(one, other);
    assertThat(found(List.of())).isEmpty();
    assertThat(found(ids(LongStream.of(other, one, other, Long.MAX_VALUE))))
        .containsExactly(one, other);
    long most = there.size() + 2_000L;
    assertThat(found(ids(LongStream.rangeClosed(0, most).map(i -> most - i))))
        .containsExactlyElementsOf(there);
  }
}
