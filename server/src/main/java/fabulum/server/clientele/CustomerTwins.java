package fabulum.server.clientele;

import static java.util.stream.Collectors.toMap;

import fabulum.core.identify.Profile;
import fabulum.core.identify.Twins;
import fabulum.core.identify.Twins.Reason;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Profiles;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;

/** Customers who may be on file twice. */
@Service
public class CustomerTwins {
  private static final int MOST = 8;
  private static final int MOST_PAIRS = 100;
  private static final int MOST_LOOKED_AT = 500;

  private final CustomerIndex index;
  private final Profiles profiles;
  private final Clock clock;

  CustomerTwins(CustomerIndex index, Profiles profiles, Clock clock) {
    this.index = index;
    this.profiles = profiles;
    this.clock = clock;
  }

  /** A customer who may be another one. */
  public record Twin(long id, String name, List<String> reasons) {}

  /** Two who may be one. */
  public record TwinPair(long id, String name, Twin other) {}

  /** Who may be a customer too, with the most reasons first. */
  public List<Twin> of(CustomerId id) {
    List<Long> near =
        index
            .find(id.value())
            .map(one ->
                index.near(one).stream().map(IndexedCustomer::id).limit(MOST_LOOKED_AT).toList())
            .orElse(List.of());
    Map<Long, Profile> known = profiles(id.value(), near);
    Profile one = known.get(id.value());
    return one == null ? List.of() : twins(one, near.stream().map(known::get).toList());
  }

  private List<Twin> twins(Profile one, List<Profile> others) {
    return others.stream()
        .filter(other -> other != null)
        .map(other -> new Twin(other.id(), other.name(), reasons(one, other)))
        .filter(twin -> !twin.reasons().isEmpty())
        .sorted(Comparator.comparing((Twin twin) -> twin.reasons().size()).reversed())
        .limit(MOST)
        .toList();
  }

  private List<String> reasons(Profile one, Profile other) {
    return Twins.of(one, other, clock.instant()).stream().map(Reason::words).toList();
  }

  private Map<Long, Profile> profiles(long id, List<Long> others) {
    List<CustomerId> ids = new ArrayList<>(others.stream().map(CustomerId::new).toList());
    ids.add(new CustomerId(id));
    return profiles.list(ids).stream().collect(toMap(Profile::id, one -> one));
  }

  /** Pairs of whom more than a near name says that they may be one, by name. */
  public List<TwinPair> listPairs() {
    List<TwinPair> pairs = new ArrayList<>();
    Set<Long> seen = new HashSet<>();
    for (IndexedCustomer one : index.all()) {
      seen.add(one.id());
      List<IndexedCustomer> likely =
          index.near(one).stream()
              .filter(other -> !seen.contains(other.id()) && one.sharesWith(other))
              .toList();
      for (IndexedCustomer other : likely) {
        of(one, other).filter(pair -> pair.other().reasons().size() > 1).ifPresent(pairs::add);
        if (pairs.size() == MOST_PAIRS) {
          return pairs;
        }
      }
    }
    return pairs;
  }

  private java.util.Optional<TwinPair> of(IndexedCustomer one, IndexedCustomer other) {
    Map<Long, Profile> known = profiles(one.id(), List.of(other.id()));
    Profile first = known.get(one.id());
    Profile second = known.get(other.id());
    return first == null || second == null
        ? java.util.Optional.empty()
        : java.util.Optional.of(
            new TwinPair(
                one.id(),
                one.row().name(),
                new Twin(other.id(), other.row().name(), reasons(first, second))));
  }
}
