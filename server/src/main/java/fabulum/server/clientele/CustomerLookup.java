package fabulum.server.clientele;

import fabulum.core.identify.Twins;
import fabulum.server.clientele.store.IndexedRow;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** All customers as they are at one moment, to find those whom rows of a file mean. */
@Service
public class CustomerLookup {
  private final CustomerIndex index;

  CustomerLookup(CustomerIndex index) {
    this.index = index;
  }

  /**
   * A customer on file.
   *
   * @param details by kind
   * @param lists ids of the lists they are on
   */
  public record Known(
      long id,
      String name,
      @Nullable String kind,
      @Nullable String email,
      @Nullable Long siteId,
      @Nullable String outsideId,
      @Nullable String language,
      Map<Long, String> details,
      Set<Long> lists) {
    static Known of(IndexedCustomer one) {
      IndexedRow row = one.row();
      return new Known(
          row.id(),
          row.name(),
          row.kind(),
          row.email(),
          row.siteId(),
          row.outsideId(),
          row.language(),
          one.details(),
          one.lists());
    }
  }

  /** All of them now. */
  public Snapshot now() {
    Snapshot snapshot = new Snapshot();
    index.all().forEach(snapshot::add);
    return snapshot;
  }

  /** One of them. */
  public Optional<Known> find(long id) {
    return index.find(id).map(Known::of);
  }

  /** Customers by what names them. */
  public final class Snapshot {
    private final Map<Long, IndexedCustomer> byId = new HashMap<>();
    private final Map<String, Long> byOutsideId = new HashMap<>();
    private final Map<String, IndexedCustomer> byName = new HashMap<>();
    private final Map<String, Optional<Long>> byMail = new HashMap<>();

    private void add(IndexedCustomer one) {
      byId.put(one.id(), one);
      byName.put(one.row().name().toLowerCase(Locale.ROOT), one);
      if (one.row().outsideId() != null) {
        byOutsideId.put(one.row().outsideId(), one.id());
      }
      if (one.row().email() != null) {
        // Whom an address belongs to that several have is not said by it.
        byMail.merge(
            one.row().email().toLowerCase(Locale.ROOT),
            Optional.of(one.id()),
            (first, second) -> Optional.empty());
      }
    }

    /** One of them. */
    public Optional<Known> find(long id) {
      return Optional.ofNullable(byId.get(id)).map(Known::of);
    }

    /** Whom another program names so. */
    public Optional<Known> byOutsideId(String id) {
      return Optional.ofNullable(byOutsideId.get(id)).flatMap(this::find);
    }

    /** The one who has this address. */
    public Optional<Known> byMail(String address) {
      return byMail
          .getOrDefault(address.toLowerCase(Locale.ROOT), Optional.empty())
          .flatMap(this::find);
    }

    /** Those with nearly this name, the same name first. */
    public List<Known> near(String name) {
      return Stream.concat(
              Stream.ofNullable(byName.get(name.toLowerCase(Locale.ROOT))),
              index.near(Twins.Name.of(name), false).stream())
          .distinct()
          .map(Known::of)
          .sorted(Comparator.comparing((Known one) -> !one.name().equalsIgnoreCase(name)))
          .toList();
    }
  }
}
