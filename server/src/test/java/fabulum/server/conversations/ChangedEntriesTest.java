package fabulum.server.conversations;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.server.conversations.changes.ChangedEntries;
import fabulum.server.conversations.changes.ConversationChanged;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ChangedEntriesTest {
  private final ChangedEntries changed = new ChangedEntries();
  private final List<Long> followed = new ArrayList<>();

  private void follow(int most) {
    changed.follow(most, some -> followed.addAll(some.entries()));
  }

  @Test
  void whatIsBeingFollowedIsNotDoneYet() {
    changed.add(ConversationChanged.of(7, List.of(1L, 2L)));
    changed.add(ConversationChanged.wholeScript(8));
    changed.follow(5, some -> assertThat(changed.size()).isEqualTo(3));
    assertThat(changed.size()).isZero();
  }

  @Test
  void whatFailsStays() {
    changed.add(ConversationChanged.of(7, List.of(1L)));
    changed.add(ConversationChanged.wholeScript(8));
    assertThatThrownBy(() -> changed.follow(5, ChangedEntriesTest::fail))
        .isInstanceOf(IOException.class);
    assertThat(changed.size()).isEqualTo(2);
    follow(5);
    assertThat(followed).containsExactly(1L);
  }

  private static void fail(ChangedEntries.Some some) throws IOException {
    throw new IOException("The disk is full");
  }

  @Test
  void eachIsFollowedOnceAndWhatIsHeardMeanwhileNext() {
    changed.add(ConversationChanged.of(7, List.of(1L, 2L, 3L)));
    changed.follow(2, some -> changed.add(ConversationChanged.of(7, List.of(4L))));
    assertThat(changed.size()).isEqualTo(2);
    follow(5);
    follow(5);
    assertThat(followed).hasSize(2).contains(4L);
  }
}
