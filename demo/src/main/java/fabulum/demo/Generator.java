package fabulum.demo;

import fabulum.core.conversation.ConversationState;
import fabulum.core.conversation.Group;
import fabulum.demo.DemoData.Conversation;
import fabulum.demo.DemoData.Customer;
import fabulum.demo.DemoData.Entry;
import fabulum.demo.DemoData.Number;
import fabulum.demo.Situation.Kind;
import fabulum.demo.Situation.Line;
import fabulum.demo.Situation.Speaker;
import fabulum.demo.Situation.Step;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.Period;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/** Makes the demonstration data: the same seed and moment give the same data. */
final class Generator {
  private static final int CUSTOMERS = 420;
  private static final int MOST_TOLD = 8;
  private static final int MOST_OPEN = 39;
  private static final int OPENING = 8;
  private static final int HOURS_A_DAY = 9;

  /** Minutes the open conversations have waited: most just now, some for long. */
  private static final int[] WAITED = {
    2, 4, 7, 9, 12, 16, 18, 22, 27, 33, 38, 41, 44, 47, 52, 55, 58, 75, 95, 210
  };

  private final Random random;
  private final Instant now;
  private final DemoSettings size;
  private final List<Situation> situations = SituationReader.read();
  private final List<Customer> customers = new ArrayList<>();
  private final List<Number> numbers = new ArrayList<>();
  private final List<Conversation> conversations = new ArrayList<>();
  private final Customers people;
  private int nextWait;

  Generator(long seed, Instant now, DemoSettings size) {
    this.random = new Random(seed);
    this.now = now;
    this.size = size;
    this.people = new Customers(today(), customers, numbers);
  }

  DemoData generate() {
    for (int i = 0; i < CUSTOMERS; i++) {
      people.add(i);
    }
    addPast();
    addStrangers();
    addOpen();
    setSomeAside();
    return new DemoData(List.copyOf(customers), List.copyOf(numbers), List.copyOf(conversations));
  }

  private void addPast() {
    List<Situation> usual = happened(Kind.USUAL);
    int number = 0;
    int line = 0;
    while (conversations.size() < size.past()) {
      if (numbers.get(number).holders().size() == 1) {
        addPastConversation(number, Line.values()[(number + line) % 3], usual);
      }
      number++;
      if (number == numbers.size()) {
        number = 0;
        line++;
      }
    }
  }

  private void addPastConversation(int number, Line line, List<Situation> usual) {
    List<Situation> here = new ArrayList<>(usual.stream().filter(s -> s.line() == line).toList());
    Collections.shuffle(here, random);
    List<Entry> entries = new ArrayList<>();
    Set<String> topics = new TreeSet<>();
    int told = Math.min(here.size(), 1 + random.nextInt(MOST_TOLD));
    for (int i = 0; i < told; i++) {
      Situation situation = here.get(i);
      tell(situation, number, pastStart(situation), entries);
      if (i == 0 && !situation.topic().isEmpty()) {
        topics.add(situation.topic());
      }
    }
    entries.sort(Comparator.comparing(Entry::at));
    add(line, number, entries, topics, now.minusSeconds(1));
  }

  private Instant pastStart(Situation situation) {
    LocalDate day;
    do {
      day = today().minusDays(4L + random.nextInt(size.months() * 30));
    } while (!situation.happensIn(day.getMonthValue()));
    return Quillhaven.at(
        day,
        LocalTime.of(
            OPENING + random.nextInt(HOURS_A_DAY), random.nextInt(60), random.nextInt(60)));
  }

  private void addStrangers() {
    for (Situation situation : happened(Kind.UNKNOWN)) {
      for (int i = 0; i < 3; i++) {
        numbers.add(new Number(people.freshNumber(), List.of()));
        List<Entry> entries = new ArrayList<>();
        tell(situation, numbers.size() - 1, pastStart(situation), entries);
        add(situation.line(), numbers.size() - 1, entries, topics(situation), now.minusSeconds(1));
      }
    }
    String[] senders = {"LAKEWATCH", "78777"};
    for (Situation situation : happened(Kind.SENDER)) {
      String sender = senders[situation.name().equals("lake-watch") ? 0 : 1];
      numbers.add(new Number(sender, List.of()));
      List<Entry> entries = new ArrayList<>();
      for (int i = 0; i < 5; i++) {
        tell(situation, numbers.size() - 1, pastStart(situation), entries);
      }
      entries.sort(Comparator.comparing(Entry::at));
      add(situation.line(), numbers.size() - 1, entries, topics(situation), now.minusSeconds(1));
    }
  }

  private void addOpen() {
    int customer = 0;
    List<Situation> usual = happeningNow(Kind.OPEN);
    for (Situation situation : usual.subList(0, Math.min(MOST_OPEN, usual.size()))) {
      reopen(situation, customer);
      customer += 9;
    }
    for (Situation situation : happeningNow(Kind.OPEN_UNKNOWN)) {
      numbers.add(new Number(people.freshNumber(), List.of()));
      addOpenConversation(situation, numbers.size() - 1);
    }
    int shared = 0;
    for (Situation situation : happeningNow(Kind.OPEN_SHARED)) {
      while (numbers.get(shared).holders().size() < 2) {
        shared++;
      }
      addOpenConversation(situation, shared++);
    }
  }

  /** An open situation goes on in a conversation that has a past, as real ones do. */
  private void reopen(Situation situation, int customer) {
    for (int i = 0; i < conversations.size(); i++) {
      Conversation past = conversations.get(i);
      List<Integer> holders = numbers.get(past.number()).holders();
      if (past.line() == situation.line()
          && past.state().group() == Group.DONE
          && holders.size() == 1
          && holders.get(0) >= customer) {
        List<Entry> entries = new ArrayList<>(past.entries());
        tellLately(situation, past.number(), entries);
        conversations.remove(i);
        add(past.line(), past.number(), entries, topics(situation), null);
        return;
      }
    }
  }

  private void addOpenConversation(Situation situation, int number) {
    List<Entry> entries = new ArrayList<>();
    tellLately(situation, number, entries);
    add(situation.line(), number, entries, topics(situation), null);
  }

  private void tellLately(Situation situation, int number, List<Entry> entries) {
    Duration length =
        situation.steps().stream().skip(1).map(Step::after).reduce(Duration.ZERO, Duration::plus);
    Duration waited = Duration.ofMinutes(WAITED[nextWait++ % WAITED.length]);
    tell(situation, number, now.minus(waited).minus(length), entries);
  }

  private void tell(Situation situation, int number, Instant start, List<Entry> into) {
    List<Integer> holders = numbers.get(number).holders();
    Customer who =
        customers.get(holders.isEmpty() ? random.nextInt(customers.size()) : holders.get(0));
    int colleague = colleague(situation.line());
    Blanks wording = new Blanks(who, start.atZone(Quillhaven.ZONE).toLocalDate());
    Instant at = start;
    for (int i = 0; i < situation.steps().size(); i++) {
      Step step = situation.steps().get(i);
      at = i == 0 ? start : at.plus(step.after()).plusSeconds(random.nextInt(40));
      Instant told = at.isAfter(now) ? now : at;
      Integer by = step.speaker() == Speaker.CUSTOMER ? null : colleague;
      into.add(new Entry(step.speaker(), told, wording.fill(step.words()), by));
    }
  }

  private int colleague(Line line) {
    int[] onLine =
        switch (line) {
          case DOCK -> new int[] {0, 1, 2, 7};
          case YARD -> new int[] {3, 5, 6};
          case STORAGE -> new int[] {2, 4};
        };
    return onLine[random.nextInt(onLine.length)];
  }

  /** Plays the entries through the state machine, so that the state is what it would really be. */
  private void add(
      Line line,
      int number,
      List<Entry> entries,
      Set<String> topics,
      @Nullable Instant finishedAtLatest) {
    ConversationState state = null;
    Integer owner = null;
    for (Entry entry : entries) {
      state = next(state, entry);
      if (entry.speaker() == Speaker.STAFF && owner == null) {
        owner = entry.by();
      }
    }
    ConversationState end = state == null ? ConversationState.begunByUs(now) : state;
    if (finishedAtLatest != null && end.isOpen()) {
      Instant last = entries.get(entries.size() - 1).at().plusSeconds(90);
      end = end.finished(last.isAfter(finishedAtLatest) ? finishedAtLatest : last);
    }
    conversations.add(
        new Conversation(line, number, owner, end, Set.copyOf(topics), List.copyOf(entries)));
  }

  private static Set<String> topics(Situation situation) {
    return situation.topic().isEmpty() ? Set.of() : Set.of(situation.topic());
  }

  /** Some of what is open is out of sight for now, and some is just back. */
  private void setSomeAside() {
    Instant tomorrow = Quillhaven.at(today().plusDays(1), LocalTime.of(7, 30));
    Instant nextWeek = Quillhaven.at(today().plusDays(7), LocalTime.of(9, 0));
    int theirs = 0;
    int ours = 0;
    for (int i = 0; i < conversations.size(); i++) {
      ConversationState state = conversations.get(i).state();
      if (state.group() == Group.THEIR_TURN && ++theirs % 3 == 0) {
        stand(i, state.setAside(theirs % 2 == 0 ? Optional.of(nextWeek) : Optional.empty()));
      } else if (state.group() == Group.OUR_TURN && ++ours % 12 == 0) {
        stand(i, state.setAside(Optional.of(tomorrow)));
      } else if (state.group() == Group.OUR_TURN && ours % 10 == 0) {
        stand(i, state.setAside(Optional.of(now.minusSeconds(1))).cameBack(now));
      }
    }
  }

  private void stand(int position, ConversationState state) {
    Conversation was = conversations.get(position);
    conversations.set(
        position,
        new Conversation(
            was.line(), was.number(), was.owner(), state, was.topics(), was.entries()));
  }

  private static ConversationState next(@Nullable ConversationState state, Entry entry) {
    if (state == null) {
      return entry.speaker() == Speaker.CUSTOMER
          ? ConversationState.begunByCustomer(entry.at())
          : ConversationState.begunByUs(entry.at());
    }
    return switch (entry.speaker()) {
      case CUSTOMER -> state.customerWrote(entry.at());
      case STAFF -> state.personAnswered(entry.at());
      case NOTE -> state;
      case DONE -> state.finished(entry.at());
    };
  }

  private List<Situation> ofKind(Kind kind) {
    return situations.stream().filter(s -> s.kind() == kind).toList();
  }

  /** Those of a kind whose season was within the months that are told. */
  private List<Situation> happened(Kind kind) {
    LocalDate first = today().minusDays(size.months() * 30L);
    return ofKind(kind).stream()
        .filter(situation ->
            first
                .datesUntil(today(), Period.ofDays(7))
                .anyMatch(day -> situation.happensIn(day.getMonthValue())))
        .toList();
  }

  /** What is said fits the season. */
  private List<Situation> happeningNow(Kind kind) {
    int month = today().getMonthValue();
    return ofKind(kind).stream().filter(situation -> situation.happensIn(month)).toList();
  }

  private LocalDate today() {
    return now.atZone(Quillhaven.ZONE).toLocalDate();
  }
}
