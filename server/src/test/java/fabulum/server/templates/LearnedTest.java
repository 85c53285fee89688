package fabulum.server.templates;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import fabulum.core.access.Sight;
import fabulum.core.suggest.Suggestion;
import fabulum.server.meaning.SentenceModel;
import fabulum.server.templates.store.AnswerRow;
import fabulum.server.templates.store.TemplateMapper;
import fabulum.server.templates.store.TemplateRow;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

class LearnedTest {
  private static final long FUEL = 1;
  private static final long GATE = 2;

  private final TemplateMapper rows = mock(TemplateMapper.class);

  private static TemplateRow template(long id, String title, String words) {
    return new TemplateRow(id, title, "", words, "", "en", false, false, 1);
  }

  private static AnswerRow answer(long id, long template) {
    return new AnswerRow(id, 100 + id, 1, 1, "Yes.", template);
  }

  @Test
  void answersBehindOneThatCannotBeLearnedTeachAllTheSame() throws InterruptedException {
    CountDownLatch last = new CountDownLatch(1);
    when(rows.list())
        .thenReturn(List.of(template(FUEL, "Fuel", "Six."), template(GATE, "Gate", "4711.")));
    when(rows.listAnswers(anyLong(), anyInt()))
        .thenReturn(List.of(answer(3, FUEL), answer(2, FUEL), answer(1, GATE)));
    when(rows.listAsked(103, 3)).thenReturn(List.of("when does the pump open"));
    when(rows.listAsked(102, 2)).thenThrow(new IllegalStateException("it cannot be read"));
    when(rows.listAsked(101, 1))
        .thenAnswer(asked -> {
          last.countDown();
          return List.of("what opens the barrier at the parking lot");
        });
    Learned learned =
        new Learned(
            rows,
            new TemplateBook(rows, null, null),
            new SuggestionSettings(10),
            mock(SentenceModel.class));

    learned.begin();
    assertThat(last.await(20, TimeUnit.SECONDS)).isTrue();
    learned.destroy();

    Set<Long> all = Set.of(FUEL, GATE);
    assertThat(
            learned.suggest("what opens the barrier at the lot", all, Sight.everything(1)).stream()
                .map(Suggestion::template))
        .startsWith(GATE);
  }
}
