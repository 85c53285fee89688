package fabulum.server.identify;

import fabulum.core.identify.Identifier;
import fabulum.core.identify.Inquiry;
import fabulum.core.identify.Profile;
import fabulum.core.identify.Ranking;
import fabulum.core.identify.Ranking.Likely;
import fabulum.core.identify.Ranking.Weighed;
import fabulum.core.identify.Spoken;
import fabulum.core.phone.PhoneNumber;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.SightColumns;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.HeldNumber;
import fabulum.server.customers.Holdings;
import fabulum.server.customers.NumberId;
import fabulum.server.identify.LikelyView.Candidate;
import fabulum.server.identify.LikelyView.HeldNow;
import fabulum.server.identify.LikelyView.Reason;
import fabulum.server.lines.Sights;
import fabulum.server.numbers.NumberCheck;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Who probably writes from a number, with the evidence that the person who asks may see. */
@Service
public class WhoWrites {
  /** Who looks has waited so long at most; then the words alone decide. */
  private static final Duration PATIENCE = Duration.ofSeconds(1);

  private static final Duration AT_LEISURE = Duration.ofMinutes(1);
  private static final int SHOWN = 5;
  private static final int REASONS = 6;
  private static final double LEAST_POINTS = 0.05;

  private final InSight inSight;
  private final Sights sights;
  private final Inquiries inquiries;
  private final KnownCustomers known;
  private final Weighing weighing;
  private final Holdings holdings;
  private final Talk talk;

  WhoWrites(
      InSight inSight,
      Sights sights,
      Inquiries inquiries,
      KnownCustomers known,
      Weighing weighing,
      Holdings holdings,
      Talk talk) {
    this.inSight = inSight;
    this.sights = sights;
    this.inquiries = inquiries;
    this.known = known;
    this.weighing = weighing;
    this.holdings = holdings;
    this.talk = talk;
  }

  /** Who probably writes in a conversation that someone sees. */
  public LikelyView of(ConversationId id, StaffId asking) {
    Conversation row = inSight.row(id, asking);
    NumberId number = new NumberId(row.numberId());
    SightColumns sight = SightColumns.of(sights.of(asking));
    List<Spoken> said = talk.of(row.address(), known.since(row.lastAt()), sight);
    Optional<NumberCheck> check = inquiries.check(row);
    if (said.stream().allMatch(Spoken::ours)) {
      return new LikelyView(
          List.of(),
          holdings.holders(number),
          1,
          List.of(),
          "",
          holdings.listActs(number),
          inquiries.canCheck(),
          check.orElse(null));
    }
    Inquiry inquiry = inquiries.of(row, said, check);
    Map<Long, Profile> candidates = weighing.candidates(inquiry, number, sight);
    Ranking ranking = weighing.rank(inquiry, candidates, PATIENCE);
    return new LikelyView(
        ranking.likely().stream()
            .limit(SHOWN)
            .map(likely ->
                shown(likely, Objects.requireNonNull(candidates.get(likely.customer())), number))
            .toList(),
        holdings.holders(number),
        ranking.nobody(),
        reasons(ranking.nobodysEvidence()),
        guessedName(inquiry),
        holdings.listActs(number),
        inquiries.canCheck(),
        check.orElse(null));
  }

  /** What they call themselves, else the name the number is registered under. */
  private static String guessedName(Inquiry inquiry) {
    String said = Identifier.nameIn(inquiry);
    return said.isEmpty() ? inquiry.registeredTo().orElse("") : said;
  }

  /**
   * Ranks everyone on file for texts that are in no conversation yet. All lines count as seen.
   *
   * @param number they come from
   * @param texts the new ones; what is known of the number from before is added
   */
  public Ranking rank(PhoneNumber number, List<Spoken> texts, ZoneId zone) {
    SightColumns all = KnownCustomers.ALL_LINES;
    Instant last = texts.get(texts.size() - 1).at();
    List<Spoken> said = talk.of(number.e164(), known.since(last), all);
    Inquiry inquiry =
        new Inquiry(
            Optional.of(number), Stream.concat(said.stream(), texts.stream()).toList(), zone);
    Map<Long, Profile> candidates = weighing.candidates(inquiry, all);
    return weighing.rank(inquiry, candidates, AT_LEISURE);
  }

  private Candidate shown(Likely likely, Profile profile, NumberId number) {
    List<HeldNumber> held = holdings.of(new CustomerId(profile.id()));
    List<HeldNow> now =
        held.stream()
            .filter(one -> one.heldUntil() == null && one.numberId() != number.value())
            .map(one -> new HeldNow(one.numberId(), one.address()))
            .toList();
    boolean holds =
        held.stream().anyMatch(one -> one.numberId() == number.value() && one.heldUntil() == null);
    List<String> details = new ArrayList<>();
    profile.site().ifPresent(details::add);
    profile.details().forEach(detail -> details.add(detail.value()));
    return new Candidate(
        profile.id(),
        profile.name(),
        likely.likelihood(),
        holds,
        now,
        details,
        reasons(likely.evidence()));
  }

  private static List<Reason> reasons(List<Weighed> evidence) {
    return evidence.stream()
        .filter(one -> Math.abs(one.points()) >= LEAST_POINTS)
        .limit(REASONS)
        .sorted(Comparator.comparing((Weighed one) -> one.points() < 0))
        .map(one -> new Reason(one.evidence().clue(), one.evidence().sentence(), one.points()))
        .toList();
  }
}
