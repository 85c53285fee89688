package fabulum.standins;

import fabulum.standins.Carried.State;
import fabulum.standins.Journal.Line;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The network: what it carries, what handsets sent, and how it misbehaves. */
@Component
class Network {
  /**
   * So often, a second apart, what goes with a text is fetched from a business that is not there.
   */
  private static final int MOST_TRIES = 120;

  private final Journal journal;
  private final Teller teller;
  private final Pages pages;
  private final Clock clock;
  private final Settings settings;
  private final Map<String, Carried> carried = new LinkedHashMap<>();
  private final Map<String, List<String>> keysByReference = new LinkedHashMap<>();
  private final Map<String, Received> received = new LinkedHashMap<>();
  private final Map<String, HandsetState> handsets = new LinkedHashMap<>();
  private final ScheduledExecutorService carrying = Executors.newSingleThreadScheduledExecutor();
  private final Misbehaviour misbehaviour;
  private final MediaFiles files;

  Network(
      Journal journal,
      Teller teller,
      Pages pages,
      Clock clock,
      Settings settings,
      Misbehaviour misbehaviour,
      MediaFiles files) {
    this.files = files;
    this.misbehaviour = misbehaviour;
    this.journal = journal;
    this.teller = teller;
    this.pages = pages;
    this.clock = clock;
    this.settings = settings;
    remember();
  }

  private void remember() {
    Set<String> told = new HashSet<>();
    for (Line line : journal.read()) {
      if (line.carried() != null) {
        keep(line.carried());
      }
      if (line.received() != null) {
        received.put(line.received().id(), line.received());
      }
      if (line.told() != null) {
        told.add(line.told());
      }
    }
    received.values().stream().filter(text -> !told.contains(text.id())).forEach(this::tell);
    carried.values().stream().filter(text -> text.state() == State.SENT).forEach(this::carryOn);
  }

  private void keep(Carried text) {
    if (carried.put(text.key(), text) == null) {
      keysByReference.computeIfAbsent(text.reference(), none -> new ArrayList<>()).add(text.key());
    }
  }

  /**
   * Takes a text over, once.
   *
   * @param numbers those it goes to
   * @param group whether they see each other's texts
   */
  synchronized Acceptance accept(
      String reference,
      String from,
      List<String> numbers,
      boolean group,
      String body,
      List<Media> media) {
    List<String> known = keysByReference.get(reference);
    if (known != null) {
      return new Acceptance(carried.get(known.get(0)), true, false, null);
    }
    String to = numbers.get(0);
    Faults faults = misbehaviour.towards(to);
    if (faults.refuse() > 0) {
      misbehaviour.use(to, now -> now.oneLess(1, 0, 0));
      return new Acceptance(
          null,
          false,
          false,
          new Acceptance.Refusal(429, "too-fast", "Too many texts at once. Try again."));
    }
    if (faults.refuseForGood() > 0) {
      misbehaviour.use(to, now -> now.oneLess(0, 1, 0));
      return new Acceptance(
          null,
          false,
          false,
          new Acceptance.Refusal(422, "barred", "The network does not carry this text."));
    }
    String id = "n" + UUID.randomUUID();
    List<Carried> copies =
        numbers.stream()
            .map(number ->
                new Carried(
                    id,
                    reference,
                    from,
                    number,
                    body,
                    clock.instant(),
                    State.SENT,
                    null,
                    null,
                    media,
                    group ? numbers : null))
            .toList();
    copies.forEach(copy -> journal.add(new Line(copy, null, null)));
    copies.forEach(this::keep);
    copies.forEach(this::carryOn);
    Carried text = copies.get(0);
    boolean lost = faults.loseAnswers() > 0;
    if (lost) {
      misbehaviour.use(to, now -> now.oneLess(0, 0, 1));
    }
    return new Acceptance(text, false, lost, null);
  }

  private void carryOn(Carried text) {
    carrying.schedule(
        () -> bring(text.key(), 1), settings.carrying().toMillis(), TimeUnit.MILLISECONDS);
  }

  /** What goes with it is fetched first; the network does nothing else for others meanwhile. */
  private void bring(String key, int tries) {
    Carried text = find(key);
    if (text == null || text.state() != State.SENT) {
      return;
    }
    List<Media> kept = new ArrayList<>();
    for (Media each : text.media() == null ? List.<Media>of() : text.media()) {
      Optional<String> file;
      try {
        file = each.file() == null ? files.fetch(each) : Optional.of(each.file());
      } catch (IOException notReached) {
        if (tries < MOST_TRIES) {
          carrying.schedule(() -> bring(key, tries + 1), 1, TimeUnit.SECONDS);
          return;
        }
        file = Optional.empty();
      }
      if (file.isEmpty()) {
        notFetched(text);
        return;
      }
      kept.add(each.keptAs(file.get()));
    }
    arrive(key, kept);
  }

  private synchronized @Nullable Carried find(String key) {
    return carried.get(key);
  }

  private synchronized void notFetched(Carried text) {
    move(text.now(State.FAILED, "media-unavailable", "What goes with it could not be fetched."));
    pages.changed();
  }

  private synchronized void arrive(String key, List<Media> kept) {
    Carried before = carried.get(key);
    if (before == null || before.state() != State.SENT) {
      return;
    }
    Carried text = before.with(kept);
    HandsetState handset = handsets.getOrDefault(text.to(), HandsetState.ON);
    String failure = misbehaviour.towards(text.to()).failWith();
    if (failure != null) {
      move(text.now(State.FAILED, failure, "The phone company could not deliver it."));
    } else if (handset == HandsetState.GONE) {
      move(text.now(State.FAILED, "gone", "This number is no longer in service."));
    } else if (handset == HandsetState.ON) {
      teller.report(text);
      move(text.now(State.DELIVERED, null, null));
    }
    pages.changed();
  }

  private void move(Carried text) {
    journal.add(new Line(text, null, null));
    keep(text);
    teller.report(text);
  }

  /** The copies of a text, one for each number; none where it is not known. */
  synchronized List<Carried> findByReference(String reference) {
    return keysByReference.getOrDefault(reference, List.of()).stream().map(carried::get).toList();
  }

  /**
   * A handset sends a text.
   *
   * @param at when the network got it; null for now
   * @param told whether the network tells of it, or only lists it
   */
  synchronized Received send(
      String from,
      String to,
      String body,
      List<Media> media,
      List<String> group,
      @Nullable Instant at,
      boolean told) {
    Received text =
        new Received(
            "r" + UUID.randomUUID(),
            from,
            to,
            body,
            at == null ? clock.instant() : at,
            media,
            group.isEmpty() ? null : group);
    journal.add(new Line(null, text, null));
    received.put(text.id(), text);
    if (told) {
      tell(text);
    } else {
      journal.add(new Line(null, null, text.id()));
    }
    pages.changed();
    return text;
  }

  private void tell(Received text) {
    teller.received(text, () -> journal.add(new Line(null, null, text.id())));
  }

  synchronized List<Received> listReceived(Instant from, Instant to) {
    return received.values().stream()
        .filter(text -> !text.receivedAt().isBefore(from) && text.receivedAt().isBefore(to))
        .toList();
  }

  /** Everything between a handset and the lines; what had arrived is now read. */
  synchronized HandsetScript open(String number) {
    List<Carried> here =
        carried.values().stream().filter(text -> text.to().equals(number)).toList();
    here.stream()
        .filter(text -> text.state() == State.DELIVERED)
        .forEach(text -> move(text.now(State.READ, null, null)));
    List<Carried> arrived =
        carried.values().stream()
            .filter(text -> text.to().equals(number))
            .filter(text -> text.state() == State.READ || text.state() == State.DELIVERED)
            .toList();
    List<Received> sent =
        received.values().stream().filter(text -> text.from().equals(number)).toList();
    List<Received> heard =
        received.values().stream()
            .filter(text -> text.group() != null && text.group().contains(number))
            .filter(text -> !text.from().equals(number))
            .toList();
    return new HandsetScript(
        number, handsets.getOrDefault(number, HandsetState.ON), arrived, sent, heard);
  }

  /**
   * What a handset shows.
   *
   * @param heard what others sent to a group it is in
   */
  record HandsetScript(
      String number,
      HandsetState state,
      List<Carried> arrived,
      List<Received> sent,
      List<Received> heard) {}

  /** Every handset that sent or got a text, the busiest lately first. */
  synchronized List<String> listHandsets() {
    Map<String, Instant> latest = new LinkedHashMap<>();
    carried.values().forEach(text -> latest.merge(text.to(), text.acceptedAt(), Network::later));
    received.values().forEach(text -> latest.merge(text.from(), text.receivedAt(), Network::later));
    List<String> numbers = new ArrayList<>(latest.keySet());
    numbers.sort((a, b) ->
        latest.getOrDefault(b, Instant.MIN).compareTo(latest.getOrDefault(a, Instant.MIN)));
    return numbers;
  }

  private static Instant later(Instant a, Instant b) {
    return a.isAfter(b) ? a : b;
  }

  synchronized void set(String number, HandsetState state) {
    handsets.put(number, state);
    if (state == HandsetState.ON) {
      carried.values().stream()
          .filter(text -> text.to().equals(number) && text.state() == State.SENT)
          .forEach(this::carryOn);
    }
  }
}
