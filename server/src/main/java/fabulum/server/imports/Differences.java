package fabulum.server.imports;

import fabulum.core.identify.Profile;
import fabulum.core.imports.RowReader.Customer;
import fabulum.core.phone.PhoneNumber;
import fabulum.server.clientele.CustomerLookup.Known;
import fabulum.server.customers.CustomerFile.Field;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What a row says of a customer on file that is not there yet. What the row leaves empty stays.
 *
 * @param customer what the row says
 */
record Differences(Customer customer, Profile profile, Known known, Instant now) {

  /**
   * A field that says something else.
   *
   * @param before null for nothing
   */
  record FieldDiffers(Field field, @Nullable String before, String after) {}

  List<FieldDiffers> fields() {
    List<FieldDiffers> fields = new ArrayList<>();
    add(fields, Field.NAME, known.name(), text(customer.name()));
    add(fields, Field.EMAIL, known.email(), customer.email());
    add(fields, Field.KIND, known.kind(), customer.kind());
    add(fields, Field.OUTSIDE_ID, known.outsideId(), customer.outsideId());
    add(fields, Field.LANGUAGE, known.language(), customer.language());
    Long site = known.siteId();
    add(
        fields,
        Field.SITE,
        site == null ? null : String.valueOf(site),
        customer.site().map(String::valueOf));
    return fields;
  }

  private static Optional<String> text(String words) {
    return words.isEmpty() ? Optional.empty() : Optional.of(words);
  }

  private static void add(
      List<FieldDiffers> fields, Field field, @Nullable String before, Optional<String> after) {
    after
        .filter(now -> !now.equals(before))
        .ifPresent(now -> fields.add(new FieldDiffers(field, before, now)));
  }

  Map<Long, String> details() {
    return customer.details().entrySet().stream()
        .filter(one -> !one.getValue().equals(known.details().get(one.getKey())))
        .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
  }

  Map<PhoneNumber, String> numbers() {
    Set<PhoneNumber> held =
        profile.numbers().stream()
            .filter(one -> one.at(now))
            .map(Profile.Held::number)
            .collect(Collectors.toSet());
    return customer.numbers().entrySet().stream()
        .filter(one -> !held.contains(one.getKey()))
        .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
  }

  List<String> contacts() {
    return customer.contacts().stream().filter(one -> !profile.contacts().contains(one)).toList();
  }

  List<String> notes() {
    return customer.notes().stream().filter(one -> !profile.notes().contains(one)).toList();
  }

  boolean isPutOn(@Nullable Long list) {
    return list != null && !known.lists().contains(list);
  }

  /** For people. */
  List<String> words(Map<Long, String> kindNames, @Nullable Long list) {
    List<String> words = new ArrayList<>();
    fields()
        .forEach(one ->
            words.add(
                one.field() == Field.SITE
                    ? "another site"
                    : one.field().words() + ": " + orNothing(one.before()) + " → " + one.after()));
    details()
        .forEach((id, now) ->
            words.add(
                Objects.requireNonNullElse(kindNames.get(id), "detail")
                    + ": "
                    + orNothing(known.details().get(id))
                    + " → "
                    + now));
    numbers().forEach((number, kind) -> words.add("also " + number.e164()));
    contacts().forEach(one -> words.add("contact " + one));
    notes().forEach(one -> words.add("a note"));
    if (isPutOn(list)) {
      words.add("put on the list");
    }
    return words;
  }

  private static String orNothing(@Nullable String words) {
    return words == null ? "nothing" : words;
  }
}
