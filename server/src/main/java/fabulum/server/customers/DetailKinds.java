package fabulum.server.customers;

import fabulum.core.customer.DetailType;
import fabulum.core.text.OneLine;
import fabulum.server.customers.store.DetailKindMapper;
import fabulum.server.platform.BriefMemory;
import fabulum.server.platform.CachedSetUp;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The extra fields of customers. None is ever deleted. */
@Service
public class DetailKinds implements CachedSetUp {
  private static final int LONGEST_NAME = 60;
  private static final int LONGEST_CHOICE = 60;
  private static final int MOST_CHOICES = 30;

  private final DetailKindMapper kinds;
  private final BriefMemory<List<DetailKind>> all;

  DetailKinds(DetailKindMapper kinds) {
    this.kinds = kinds;
    this.all = new BriefMemory<>(kinds::list);
  }

  /**
   * All extra fields in their order, also retired ones; a change is in it a second later at most.
   */
  public List<DetailKind> list() {
    return all.get();
  }

  /** One of them, as the database has it now. */
  public DetailKind present(long id) {
    return find(id).orElseThrow(() -> Problem.notFound("detail"));
  }

  private Optional<DetailKind> find(long id) {
    return kinds.list().stream().filter(kind -> kind.id() == id).findFirst();
  }

  /** Adds one at the end. */
  @Transactional
  public long add(DetailSetup wanted) {
    require(0, wanted);
    long id = kinds.insert(row(0, wanted, kinds.list().size() + 1));
    forget();
    return id;
  }

  /**
   * Changes one. Its type can change only while every customer's words suit the new one.
   *
   * @param seen the version it was changed from
   */
  @Transactional
  public void change(long id, DetailSetup wanted, long seen) {
    DetailKind before = present(id);
    require(id, wanted);
    requireWordsSuit(before, wanted);
    if (kinds.update(row(id, wanted, before.place()), seen) == 0) {
      throw Problem.changedMeanwhile("detail");
    }
    forget();
  }

  /** Puts them in another order. */
  @Transactional
  public void order(List<Long> ids) {
    for (int i = 0; i < ids.size(); i++) {
      kinds.setPlace(ids.get(i), i + 1);
    }
    forget();
  }

  private static DetailKind row(long id, DetailSetup wanted, int place) {
    String choices =
        wanted.type() == DetailType.CHOICE
            ? String.join("\n", wanted.choices().stream().map(String::strip).distinct().toList())
            : "";
    return new DetailKind(
        id, wanted.name().strip(), wanted.type(), choices, place, wanted.retired(), 0);
  }

  private void requireWordsSuit(DetailKind before, DetailSetup wanted) {
    DetailKind after = row(before.id(), wanted, before.place());
    if (after.type() == DetailType.TEXT) {
      return;
    }
    List<String> unsuited =
        kinds.listWords(before.id()).stream().filter(words -> !suits(after, words)).toList();
    if (!unsuited.isEmpty()) {
      throw field(
          "type",
          unsuited.size()
              + (unsuited.size() == 1 ? " customer has" : " customers have")
              + " something else here, such as “"
              + unsuited.get(0)
              + "”. Change that first; nothing was changed.");
    }
  }

  private static boolean suits(DetailKind kind, String words) {
    return kind.type().read(words, kind.listChoices()) instanceof DetailType.Understood understood
        && understood.words().equals(words);
  }

  private void require(long butNot, DetailSetup wanted) {
    List<FieldProblem> bad = new ArrayList<>();
    String name = wanted.name().strip();
    nameObjection(name, butNot).ifPresent(why -> bad.add(new FieldProblem("name", why)));
    if (wanted.type() == DetailType.CHOICE) {
      choicesObjection(wanted.choices())
          .ifPresent(why -> bad.add(new FieldProblem("choices", why)));
    }
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
  }

  private Optional<String> nameObjection(String name, long butNot) {
    if (name.isEmpty() || name.length() > LONGEST_NAME) {
      return Optional.of("A name has 1 to " + LONGEST_NAME + " characters.");
    }
    boolean taken =
        kinds.list().stream()
            .anyMatch(kind -> kind.id() != butNot && kind.name().equalsIgnoreCase(name));
    return taken ? Optional.of("There is a detail with this name.") : OneLine.objection(name);
  }

  private static Optional<String> choicesObjection(List<String> choices) {
    if (choices.isEmpty() || choices.size() > MOST_CHOICES) {
      return Optional.of("Give 1 to " + MOST_CHOICES + " choices, one a line.");
    }
    boolean odd =
        choices.stream()
            .anyMatch(choice ->
                choice.isBlank() || choice.length() > LONGEST_CHOICE || !OneLine.is(choice));
    return odd
        ? Optional.of("A choice has 1 to " + LONGEST_CHOICE + " characters, on one line.")
        : Optional.empty();
  }

  /**
   * Reads what was typed for an extra field.
   *
   * @param words not blank
   */
  public DetailType.Read read(DetailKind kind, @Nullable String words) {
    return kind.type().read(words == null ? "" : words, kind.listChoices());
  }

  static Problem field(String field, String why) {
    return Problem.fields(List.of(new FieldProblem(field, why)));
  }

  @Override
  public void forget() {
    all.forget();
  }
}
