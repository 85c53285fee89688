package fabulum.server.imports;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toList;

import fabulum.core.imports.CustomerRef;
import fabulum.server.clientele.CustomerLookup;
import fabulum.server.clientele.CustomerLookup.Known;
import fabulum.server.clientele.CustomerLookup.Snapshot;
import fabulum.server.imports.store.ImportMapper;
import fabulum.server.imports.store.ImportMapper.HeldRow;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Finds the customers that rows about something else are for. */
@Component
class WhoseRow {
  private final CustomerLookup lookup;
  private final ImportMapper rows;

  WhoseRow(CustomerLookup lookup, ImportMapper rows) {
    this.lookup = lookup;
    this.rows = rows;
  }

  /**
   * Whom a row is for.
   *
   * @param customer whom it is for, or may be for; null for nobody on file
   * @param sure whether nobody needs to be asked
   * @param why what is asked, or why there is nobody; blank when it is sure
   */
  record Found(@Nullable Known customer, boolean sure, String why) {}

  /** Those on file now. */
  Finder now() {
    return new Finder(
        lookup.now(),
        rows.listHeld().stream()
            .collect(groupingBy(HeldRow::address, mapping(HeldRow::customerId, toList()))));
  }

  /** Those on file at one moment. */
  record Finder(Snapshot known, Map<String, List<Long>> holders) {

    /**
     * Finds them by outside id, else number, mail or name.
     *
     * @param answer the customer whom a person chose; null when nobody did
     */
    Found find(CustomerRef ref, @Nullable Long answer) {
      if (answer != null && answer != 0) {
        return known
            .find(answer)
            .map(Finder::sure)
            .orElseGet(() -> nobody("The customer you chose is gone."));
      }
      return ref.outsideId()
          .map(id ->
              known
                  .byOutsideId(id)
                  .map(Finder::sure)
                  .orElseGet(() -> nobody("Nobody on file has the id “" + id + "”.")))
          .orElseGet(() -> byOthers(ref));
    }

    /** A customer whose name stands in some words; a person confirms it. */
    Optional<Found> named(String words) {
      List<String> all = List.of(words.strip().split("[\\s,;:()/]+"));
      for (int size = 3; size >= 2; size--) {
        for (int i = 0; i + size <= all.size(); i++) {
          List<Known> near = known.near(String.join(" ", all.subList(i, i + size)));
          if (!near.isEmpty()) {
            Known one = near.get(0);
            return Optional.of(
                new Found(one, false, "Is it for " + one.name() + ", who is on file?"));
          }
        }
      }
      return Optional.empty();
    }

    private static Found sure(Known one) {
      return new Found(one, true, "");
    }

    private static Found nobody(String why) {
      return new Found(null, false, why);
    }

    private Found byOthers(CustomerRef ref) {
      List<Known> byNumber =
          ref.number().stream()
              .flatMap(number -> holders.getOrDefault(number.e164(), List.of()).stream())
              .flatMap(id -> known.find(id).stream())
              .filter(one -> byNumberAlone(ref) || one.name().equalsIgnoreCase(ref.name()))
              .toList();
      if (byNumber.size() == 1) {
        return sure(byNumber.get(0));
      }
      Optional<Known> byMail = ref.email().flatMap(known::byMail);
      if (byMail.isPresent()) {
        return sure(byMail.get());
      }
      return byName(ref);
    }

    private static boolean byNumberAlone(CustomerRef ref) {
      return ref.name().isEmpty();
    }

    private Found byName(CustomerRef ref) {
      if (ref.name().isEmpty()) {
        return nobody("Nobody on file has this number or e-mail.");
      }
      List<Known> near = known.near(ref.name());
      List<Known> same =
          near.stream().filter(one -> one.name().equalsIgnoreCase(ref.name())).toList();
      if (same.size() == 1) {
        return sure(same.get(0));
      }
      return near.isEmpty()
          ? nobody(
              "No customer on file has the name “" + ref.name() + "”. Import the customer first.")
          : new Found(near.get(0), false, "Is it for " + near.get(0).name() + ", who is on file?");
    }
  }
}
