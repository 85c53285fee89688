package fabulum.core.identify;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;

/**
 * Works out who wrote a text from who held its number then, and from what a person said of it.
 *
 * @param holdings of the number
 * @param said of the number, in the order in which it was said
 */
public record WhoWrote(List<Holding> holdings, List<Said> said) {
  public WhoWrote {
    holdings = List.copyOf(holdings);
    said = List.copyOf(said);
  }

  /**
   * A customer has a number.
   *
   * @param from empty for always
   * @param weakBefore before that it counts only where nobody else held the number
   * @param until when it stopped being theirs; empty for still
   */
  public record Holding(
      long customer,
      Optional<Instant> from,
      Optional<Instant> weakBefore,
      Optional<Instant> until) {
    boolean isWeak(Instant time) {
      return weakBefore.filter(time::isBefore).isPresent();
    }

    /** Whether the number was theirs at a time. */
    public boolean at(Instant time) {
      return from.filter(time::isBefore).isEmpty()
          && until.filter(end -> !time.isBefore(end)).isEmpty();
    }
  }

  /**
   * A person said who writes.
   *
   * @param entry the one text it was said of; empty for all
   * @param conversation the one conversation it was said of; empty for all
   * @param from empty for all texts, else those from then on
   */
  public record Said(
      long customer, OptionalLong entry, OptionalLong conversation, Optional<Instant> from) {}

  /** Who wrote a text; empty when nobody or more than one held its number and nobody said. */
  public OptionalLong of(long conversation, long entry, Instant at) {
    return last(conversation, entry, at, true);
  }

  /** Whose a conversation is, for what comes next. */
  public OptionalLong of(long conversation, Instant now) {
    return last(conversation, 0, now, false);
  }

  private OptionalLong last(long conversation, long entry, Instant at, boolean ofText) {
    OptionalLong told = OptionalLong.empty();
    OptionalLong toldOfText = OptionalLong.empty();
    for (Said one : said) {
      boolean ofThisText = ofText && one.entry().isPresent() && one.entry().getAsLong() == entry;
      boolean ofAll =
          one.entry().isEmpty()
              && (one.conversation().isEmpty() || one.conversation().getAsLong() == conversation)
              && one.from().filter(at::isBefore).isEmpty()
              && holdings.stream()
                  .anyMatch(held -> held.customer() == one.customer() && held.at(at));
      if (ofThisText) {
        toldOfText = OptionalLong.of(one.customer());
      }
      if (ofAll) {
        told = OptionalLong.of(one.customer());
      }
    }
    if (toldOfText.isPresent()) {
      return toldOfText;
    }
    if (told.isPresent()) {
      return told;
    }
    long[] strong = holdersAt(at, false);
    long[] then = strong.length > 0 ? strong : holdersAt(at, true);
    return then.length == 1 ? OptionalLong.of(then[0]) : OptionalLong.empty();
  }

  private long[] holdersAt(Instant time, boolean weak) {
    return holdings.stream()
        .filter(held -> held.at(time) && held.isWeak(time) == weak)
        .mapToLong(Holding::customer)
        .distinct()
        .toArray();
  }
}
