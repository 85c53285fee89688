package fabulum.server.history;

import fabulum.core.access.Sight;
import fabulum.core.search.WordQuery;
import fabulum.core.sentence.HistorySentence;
import fabulum.core.sentence.HistorySentence.Match;
import fabulum.core.sentence.HistorySentence.Origin;
import fabulum.core.sentence.HistorySentence.What;
import fabulum.server.access.StaffId;
import fabulum.server.clientele.Theirs;
import fabulum.server.clientele.WhoseEntries;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.SightColumns;
import fabulum.server.customers.CustomerId;
import fabulum.server.history.store.HistoryMapper;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.lines.Sights;
import fabulum.server.platform.LikePattern;
import fabulum.server.topics.TopicId;
import fabulum.server.topics.Topics;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.lucene.document.LongPoint;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.MatchAllDocsQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermQuery;
import org.springframework.stereotype.Component;

/** Turns a sentence into conditions on the index, for someone and as of now. */
@Component
class SentenceConditions {
  private final HistoryMapper rows;
  private final Lines lines;
  private final Topics topics;
  private final Sights sights;
  private final WhoseEntries whose;
  private final Clock clock;

  SentenceConditions(
      HistoryMapper rows,
      Lines lines,
      Topics topics,
      Sights sights,
      WhoseEntries whose,
      Clock clock) {
    this.rows = rows;
    this.lines = lines;
    this.topics = topics;
    this.sights = sights;
    this.whose = whose;
    this.clock = clock;
  }

  Choice of(HistorySentence sentence, StaffId asking) {
    BooleanQuery.Builder all = new BooleanQuery.Builder();
    all.add(new MatchAllDocsQuery(), Occur.FILTER);
    addSight(all, sights.of(asking));
    addKinds(all, sentence.what());
    addLines(all, sentence);
    addTime(all, sentence);
    sentence.by().ifPresent(id -> all.add(fact(EntryFacts.by(id)), Occur.FILTER));
    sentence
        .origin()
        .ifPresent(origin ->
            all.add(
                fact(EntryFacts.AUTOMATIC),
                origin == Origin.PROGRAM ? Occur.FILTER : Occur.MUST_NOT));
    sentence.state().ifPresent(state -> all.add(fact(EntryFacts.state(state)), Occur.FILTER));
    if (sentence.attached()) {
      all.add(fact(EntryFacts.ATTACHED), Occur.FILTER);
    }
    Optional<Theirs> customer = customer(sentence.customer(), asking);
    customer.ifPresent(one -> all.add(conversations(ids(one)), Occur.FILTER));
    if (sentence.conversation().isPresent()) {
      all.add(conversations(List.of(sentence.conversation().getAsLong())), Occur.FILTER);
    }
    addConversations(all, sentence);
    boolean meaning = sentence.match() == Match.MEANING && !sentence.mention().isEmpty();
    return new Choice(
        all.build(),
        WordQuery.read(meaning ? "" : sentence.mention(), sentence.match() == Match.ANY),
        meaning ? Optional.of(sentence.mention()) : Optional.empty(),
        customer);
  }

  /** What was said in one conversation, whenever it was. */
  Choice within(Conversation row, String words) {
    BooleanQuery.Builder all = new BooleanQuery.Builder();
    all.add(conversations(List.of(row.id())), Occur.FILTER);
    return new Choice(
        all.build(), WordQuery.read(words, false), Optional.empty(), Optional.empty());
  }

  private Optional<Theirs> customer(OptionalLong id, StaffId asking) {
    return id.isEmpty()
        ? Optional.empty()
        : Optional.of(whose.of(new CustomerId(id.getAsLong()), asking));
  }

  private static List<Long> ids(Theirs customer) {
    return customer.conversations().stream().map(Conversation::id).toList();
  }

  private void addSight(BooleanQuery.Builder all, Sight sight) {
    SightColumns columns = SightColumns.of(sight);
    if (columns.lines() != null) {
      BooleanQuery.Builder any = new BooleanQuery.Builder();
      any.add(LongPoint.newSetQuery(WordIndex.LINE, columns.lines()), Occur.SHOULD);
      if (columns.teams() != null) {
        any.add(conversations(rows.listHanded(columns)), Occur.SHOULD);
      }
      any.add(conversations(sight.guestOf()), Occur.SHOULD);
      all.add(any.build(), Occur.FILTER);
    }
    if (columns.narrowed() != null) {
      all.add(conversations(rows.listHidden(columns)), Occur.MUST_NOT);
    }
  }

  private static Query conversations(Collection<Long> ids) {
    return LongPoint.newSetQuery(WordIndex.CONVERSATION, ids);
  }

  private static void addKinds(BooleanQuery.Builder all, What what) {
    Set<EntryKind> kinds =
        switch (what) {
          case TEXTS -> Set.of(EntryKind.IN, EntryKind.OUT);
          case SENT -> Set.of(EntryKind.OUT);
          case RECEIVED -> Set.of(EntryKind.IN);
          case NOTES -> Set.of(EntryKind.NOTE);
          case EVENTS -> Set.of(EntryKind.EVENT);
          case EVERYTHING -> Set.of();
        };
    if (!kinds.isEmpty()) {
      BooleanQuery.Builder any = new BooleanQuery.Builder();
      kinds.forEach(kind -> any.add(fact(EntryFacts.kind(kind)), Occur.SHOULD));
      all.add(any.build(), Occur.FILTER);
    }
  }

  private void addLines(BooleanQuery.Builder all, HistorySentence sentence) {
    boolean narrows =
        sentence.line().isPresent() || sentence.site().isPresent() || sentence.team().isPresent();
    if (narrows) {
      List<Long> chosen =
          lines.list().stream()
              .filter(line -> isOrAny(sentence.line(), line.id()))
              .filter(line -> isOrAny(sentence.site(), line.siteId()))
              .filter(line -> isOrAny(sentence.team(), line.teamId()))
              .map(LineView::id)
              .toList();
      all.add(LongPoint.newSetQuery(WordIndex.LINE, chosen), Occur.FILTER);
    }
  }

  private static boolean isOrAny(OptionalLong wanted, long value) {
    return wanted.isEmpty() || wanted.getAsLong() == value;
  }

  /** Days are those of each line's zone. */
  private void addTime(BooleanQuery.Builder all, HistorySentence sentence) {
    Instant now = clock.instant();
    var byZone = lines.list().stream().collect(Collectors.groupingBy(LineView::zone));
    if (sentence.when().equals(HistorySentence.When.EVER)) {
      return;
    }
    if (byZone.size() == 1) {
      all.add(days(sentence, now, byZone.keySet().iterator().next()), Occur.FILTER);
      return;
    }
    BooleanQuery.Builder any = new BooleanQuery.Builder();
    byZone.forEach((zone, there) -> {
      BooleanQuery.Builder both = new BooleanQuery.Builder();
      both.add(
          LongPoint.newSetQuery(WordIndex.LINE, there.stream().map(LineView::id).toList()),
          Occur.FILTER);
      both.add(days(sentence, now, zone), Occur.FILTER);
      any.add(both.build(), Occur.SHOULD);
    });
    all.add(any.build(), Occur.FILTER);
  }

  private static Query days(HistorySentence sentence, Instant now, String name) {
    ZoneId zone = ZoneId.of(name);
    Optional<LocalDate> first = sentence.when().first(now.atZone(zone).toLocalDate());
    Optional<LocalDate> end = sentence.when().last().map(day -> day.plusDays(1));
    return WordIndex.between(
        first.map(day -> day.atStartOfDay(zone).toInstant()).orElse(null),
        end.map(day -> day.atStartOfDay(zone).toInstant()).orElse(null));
  }

  private void addConversations(BooleanQuery.Builder all, HistorySentence sentence) {
    if (sentence.topic().isPresent()) {
      TopicId stands = topics.standing(new TopicId(sentence.topic().getAsLong()));
      all.add(conversations(rows.listAbout(stands.value())), Occur.FILTER);
    }
    if (!sentence.called().isEmpty()) {
      List<Long> called =
          rows.listCalled(
              LikePattern.containing(sentence.called()), LikePattern.digits(sentence.called()));
      all.add(conversations(called), Occur.FILTER);
    }
  }

  private static Query fact(String fact) {
    return new TermQuery(new Term(WordIndex.FACT, fact));
  }
}
