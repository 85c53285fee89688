package fabulum.core.identify;

import fabulum.core.phone.PhoneNumber;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A world of customers and the cases in it, as docs/identify.md describes the files. */
record LabelledSet(
    String name, List<Profile> customers, Map<Long, String> keys, List<LabelledCase> cases) {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  /**
   * A case.
   *
   * @param truth empty for nobody on file
   */
  record LabelledCase(String id, Inquiry inquiry, Optional<Long> truth, List<String> tags) {}

  static LabelledSet read(String name) {
    JsonNode world = JSON.readTree(resource(name + ".world.json"));
    ZoneId zone = ZoneId.of(world.path("zone").asString());
    Map<String, List<Spoken>> texts = new HashMap<>();
    for (JsonNode text : world.path("texts")) {
      texts
          .computeIfAbsent(text.path("number").asString(), none -> new ArrayList<>())
          .add(
              new Spoken(
                  at(text.path("at")),
                  text.path("direction").asString().equals("out"),
                  text.path("words").asString()));
    }
    List<Profile> customers = new ArrayList<>();
    Map<Long, String> keys = new HashMap<>();
    Map<String, Long> ids = new HashMap<>();
    for (JsonNode customer : world.path("customers")) {
      long id = customers.size() + 1L;
      keys.put(id, customer.path("key").asString());
      ids.put(customer.path("key").asString(), id);
      customers.add(profile(id, customer, texts));
    }
    List<LabelledCase> cases = new ArrayList<>();
    for (String line : resource(name + ".cases.jsonl").split("\n")) {
      cases.add(labelled(JSON.readTree(line), zone, texts, ids));
    }
    return new LabelledSet(name, List.copyOf(customers), Map.copyOf(keys), List.copyOf(cases));
  }

  private static LabelledCase labelled(
      JsonNode node, ZoneId zone, Map<String, List<Spoken>> texts, Map<String, Long> ids) {
    String number = node.path("number").asString();
    List<Spoken> all = new ArrayList<>(texts.getOrDefault(number, List.of()));
    node.path("texts")
        .forEach(
            text -> all.add(new Spoken(at(text.path("at")), false, text.path("words").asString())));
    List<String> tags = new ArrayList<>();
    node.path("tags").forEach(tag -> tags.add(tag.asString()));
    JsonNode truth = node.path("truth");
    return new LabelledCase(
        node.path("id").asString(),
        new Inquiry(Optional.of(new PhoneNumber(number)), all, zone),
        truth.isNull()
            ? Optional.empty()
            : Optional.of(Objects.requireNonNull(ids.get(truth.asString()))),
        List.copyOf(tags));
  }

  private static Profile profile(long id, JsonNode node, Map<String, List<Spoken>> texts) {
    List<Profile.Held> numbers = new ArrayList<>();
    List<Spoken> said = new ArrayList<>();
    for (JsonNode held : node.path("numbers")) {
      String e164 = held.path("number").asString();
      numbers.add(
          new Profile.Held(new PhoneNumber(e164), day(held.path("from")), day(held.path("until"))));
      said.addAll(texts.getOrDefault(e164, List.of()));
    }
    List<Profile.Detail> details = new ArrayList<>();
    node.path("details")
        .properties()
        .forEach(one -> details.add(new Profile.Detail(one.getKey(), one.getValue().asString())));
    List<Profile.Appointment> appointments = new ArrayList<>();
    node.path("appointments")
        .forEach(one ->
            appointments.add(
                new Profile.Appointment(one.path("what").asString(), at(one.path("startsAt")))));
    List<Profile.Job> jobs = new ArrayList<>();
    node.path("jobs")
        .forEach(one ->
            jobs.add(new Profile.Job(text(one.path("number")), one.path("what").asString())));
    said.sort((a, b) -> a.at().compareTo(b.at()));
    return new Profile(
        id,
        node.path("name").asString(),
        strings(node.path("contacts")),
        text(node.path("email")),
        text(node.path("site")),
        numbers,
        details,
        strings(node.path("notes")),
        appointments,
        jobs,
        said);
  }

  private static List<String> strings(JsonNode nodes) {
    List<String> all = new ArrayList<>();
    nodes.forEach(one -> all.add(one.asString()));
    return all;
  }

  private static Optional<String> text(JsonNode node) {
    return node.isMissingNode() || node.isNull() ? Optional.empty() : Optional.of(node.asString());
  }

  private static Instant at(JsonNode node) {
    return OffsetDateTime.parse(node.asString()).toInstant();
  }

  private static Optional<Instant> day(JsonNode node) {
    return text(node).map(day -> Instant.parse(day + "T00:00:00Z"));
  }

  private static String resource(String name) {
    try (@Nullable InputStream in = LabelledSet.class.getResourceAsStream("/identify/" + name)) {
      return new String(Objects.requireNonNull(in, name).readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  Directory directory() {
    return directory(customers);
  }

  static Directory directory(List<Profile> customers) {
    Directory directory = new Directory();
    customers.forEach(directory::put);
    return directory;
  }
}
