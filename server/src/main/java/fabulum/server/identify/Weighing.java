package fabulum.server.identify;

import fabulum.core.identify.Identifier;
import fabulum.core.identify.Inquiry;
import fabulum.core.identify.Profile;
import fabulum.core.identify.Ranking;
import fabulum.core.meaning.Meaning;
import fabulum.core.phone.PhoneNumber;
import fabulum.server.conversations.SightColumns;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Holdings;
import fabulum.server.customers.NumberId;
import fabulum.server.customers.Profiles;
import java.time.Duration;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Those who may have written, and how likely each is. */
@Component
class Weighing {
  private static final int CANDIDATES = 60;

  private final KnownCustomers known;
  private final Profiles profiles;
  private final Holdings holdings;
  private final Talk talk;
  private final Meant meant;

  Weighing(KnownCustomers known, Profiles profiles, Holdings holdings, Talk talk, Meant meant) {
    this.known = known;
    this.profiles = profiles;
    this.holdings = holdings;
    this.talk = talk;
    this.meant = meant;
  }

  /** Of several holders, all are candidates, whatever else is found. */
  Map<Long, Profile> candidates(Inquiry inquiry, NumberId number, SightColumns sight) {
    Set<CustomerId> ids = new LinkedHashSet<>();
    holdings.holders(number).forEach(id -> ids.add(new CustomerId(id)));
    ids.addAll(known.candidates(inquiry, CANDIDATES));
    return profiles(List.copyOf(ids), inquiry, sight);
  }

  /** Candidates for a number that is in no conversation yet. */
  Map<Long, Profile> candidates(Inquiry inquiry, SightColumns sight) {
    return profiles(known.candidates(inquiry, CANDIDATES), inquiry, sight);
  }

  private Map<Long, Profile> profiles(List<CustomerId> ids, Inquiry inquiry, SightColumns sight) {
    String number = inquiry.number().map(PhoneNumber::e164).orElse("");
    return talk.with(profiles.list(ids), number, known.since(inquiry.asOf()), sight).stream()
        .collect(Collectors.toMap(Profile::id, Function.identity()));
  }

  /**
   * How likely each is, with the evidence.
   *
   * @param patience how long to wait for what the words mean; then the words alone decide
   */
  Ranking rank(Inquiry inquiry, Map<Long, Profile> candidates, Duration patience) {
    List<Profile> all = List.copyOf(candidates.values());
    Optional<Meaning> meaning = meant.of(Identifier.meant(inquiry, all), patience);
    return known.with(directory -> Identifier.rank(inquiry, all, directory, meaning));
  }

  /** All words whose meaning is evidence. */
  Set<String> meant(Inquiry inquiry, Map<Long, Profile> candidates) {
    return Identifier.meant(inquiry, List.copyOf(candidates.values()));
  }
}
