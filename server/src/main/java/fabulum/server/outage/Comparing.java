package fabulum.server.outage;

import fabulum.core.delivery.Gateway;
import fabulum.core.delivery.Gateway.GatewayUnavailable;
import fabulum.core.delivery.Gateway.IncomingText;
import fabulum.core.delivery.Gateway.Listing;
import fabulum.server.lines.LineView;
import fabulum.server.messaging.Inbound;
import fabulum.server.messaging.KeptAside;
import fabulum.server.outage.Held.State;
import fabulum.server.outage.OutageView.Doing;
import fabulum.server.outage.store.OursMapper;
import fabulum.server.outage.store.OursRow;
import fabulum.server.platform.Problem;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Compares with the network day by day, and takes in what is missing, in a thread of its own. */
@Component
class Comparing {
  private static final Logger log = LoggerFactory.getLogger(Comparing.class);
  private static final int CHUNK = 500;

  /** What will not be otherwise when it is tried again. */
  private static final Set<Problem.Kind> NEVER =
      Set.of(Problem.Kind.BAD_FIELDS, Problem.Kind.UNKNOWN_LINE);

  private final Gateway gateway;
  private final Inbound inbound;
  private final KeptAside kept;
  private final OursMapper ours;
  private final ExecutorService worker = Executors.newSingleThreadExecutor(Comparing::daemon);
  private volatile @Nullable Run last;

  Comparing(Gateway gateway, Inbound inbound, KeptAside kept, OursMapper ours) {
    this.gateway = gateway;
    this.inbound = inbound;
    this.kept = kept;
    this.ours = ours;
  }

  private static Thread daemon(Runnable work) {
    Thread thread = new Thread(work, "outage");
    thread.setDaemon(true);
    return thread;
  }

  @Nullable Run last() {
    return last;
  }

  synchronized void begin(LocalDate first, LocalDate lastDay) {
    requireIdle();
    Run run = Run.begun(first, lastDay);
    last = run;
    worker.execute(() -> compare(run));
  }

  synchronized void take(Predicate<Held> which, @Nullable Instant waitsSince) {
    requireIdle();
    Run run = last;
    if (run == null) {
      throw Problem.conflict(
          Problem.Kind.CHANGED_MEANWHILE,
          "Compare with the network first: Fabulum was restarted since.");
    }
    Run taking = run.now(Doing.TAKING, null);
    last = taking;
    worker.execute(() -> take(taking, which, waitsSince));
  }

  private void requireIdle() {
    Run run = last;
    if (run != null && run.isBusy()) {
      throw Problem.conflict(
          Problem.Kind.CHANGED_MEANWHILE, "A comparison is running. Please wait until it is done.");
    }
  }

  private void compare(Run begun) {
    Run run = begun;
    try {
      for (LocalDate day = run.first(); !day.isAfter(run.last()); day = day.plusDays(1)) {
        run = compareDay(run, day);
        last = run;
      }
      last = run.now(Doing.RESTING, null);
    } catch (GatewayUnavailable unavailable) {
      log.warn("The network did not say what it received", unavailable);
      last =
          run.now(
              Doing.STOPPED,
              "The network does not answer. What was compared so far is shown; please try again later.");
    } catch (RuntimeException broken) {
      log.error("The comparison with the network broke", broken);
      last =
          run.now(
              Doing.STOPPED, "The comparison broke off. Nothing was changed; please try again.");
    }
  }

  private Run compareDay(Run run, LocalDate day) {
    Listing listing =
        gateway.listReceived(
            day.atStartOfDay(ZoneOffset.UTC).toInstant(),
            day.plusDays(1).atStartOfDay(ZoneOffset.UTC).toInstant());
    listing.unreadable().forEach(one -> kept.keep(one.asItCame(), one.why()));
    Map<String, OursRow> have = have(listing.texts());
    List<Long> known = new ArrayList<>(run.known());
    List<Held> found = new ArrayList<>(run.found());
    for (IncomingText text : listing.texts()) {
      Long line = inbound.line(text).map(LineView::id).orElse(null);
      OursRow row = have.get(text.networkId());
      if (row == null) {
        found.add(new Held(text, line, State.MISSING, null, 0, 0, null));
      } else if (isSame(text, line, row)) {
        known.add(row.lineId());
      } else {
        found.add(
            new Held(
                text,
                row.lineId(),
                State.DIFFERENT,
                row.words(),
                row.entryId(),
                row.conversationId(),
                null));
      }
    }
    return new Run(
        run.first(),
        run.last(),
        Doing.COMPARING,
        run.daysDone() + 1,
        known,
        found,
        run.unreadable() + listing.unreadable().size(),
        null);
  }

  private Map<String, OursRow> have(List<IncomingText> texts) {
    Map<String, OursRow> have = new HashMap<>();
    List<String> ids = texts.stream().map(IncomingText::networkId).distinct().toList();
    for (int i = 0; i < ids.size(); i += CHUNK) {
      ours.list(ids.subList(i, Math.min(ids.size(), i + CHUNK)))
          .forEach(row -> have.put(row.networkId(), row));
    }
    return have;
  }

  /** What was removed for good is not different. */
  private static boolean isSame(IncomingText text, @Nullable Long line, OursRow row) {
    boolean words = row.words() == null || row.words().equals(text.words());
    return words && (line == null || line == row.lineId());
  }

  private void take(Run begun, Predicate<Held> which, @Nullable Instant waitsSince) {
    List<Held> found = new ArrayList<>(begun.found());
    String problem = null;
    for (int i = 0; i < found.size(); i++) {
      Held held = found.get(i);
      if (held.state() == State.MISSING && which.test(held)) {
        try {
          found.set(i, take(held, waitsSince));
        } catch (RuntimeException broken) {
          log.warn("A text could not be taken in now", broken);
          problem = "Some texts could not be taken in now. Please try again; none is taken twice.";
        }
        last = begun.with(found);
      }
    }
    last = begun.with(found).now(problem == null ? Doing.RESTING : Doing.STOPPED, problem);
  }

  private Held take(Held held, @Nullable Instant waitsSince) {
    IncomingText text = held.text();
    boolean waits = waitsSince != null && !text.receivedAt().isBefore(waitsSince);
    try {
      if (waits) {
        inbound.receive(text);
      } else {
        inbound.receivePast(text);
      }
    } catch (Problem impossible) {
      if (!NEVER.contains(impossible.kind())) {
        throw impossible;
      }
      kept.keep(text, String.valueOf(impossible.getMessage()));
      return held.with(State.CANNOT, String.valueOf(impossible.getMessage()));
    }
    OursRow row = have(List.of(text)).get(text.networkId());
    return row == null ? held : held.takenInto(row.entryId(), row.conversationId());
  }
}
