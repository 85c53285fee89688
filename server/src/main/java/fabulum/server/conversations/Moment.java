package fabulum.server.conversations;

import fabulum.core.hours.Hours;
import fabulum.core.hours.Openings;
import fabulum.core.hours.TimeReader;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Until when something is set aside, as people say it.
 *
 * @param at for {@link Kind#AT}
 */
public record Moment(Kind kind, @Nullable Instant at) {

  private static final Duration FARTHEST = Duration.ofDays(3_660);

  /** Ways to say when. */
  public enum Kind {
    /** Two working hours from now, if the line is open for as long today. */
    LATER_TODAY,
    /** When the line opens the next day on which it does. */
    TOMORROW,
    /** When the line opens on the next Monday on which it does. */
    NEXT_MONDAY,
    /** Only when the customer writes. */
    WHEN_THEY_WRITE,
    /** A time of the person's own. */
    AT
  }

  /**
   * The moments a line's calendar gives now; those it does not give are empty.
   *
   * @param zone in which times of the line are told, IANA name
   */
  public record Offer(
      @Nullable Instant laterToday,
      @Nullable Instant tomorrow,
      @Nullable Instant nextMonday,
      String zone) {}

  /**
   * What was understood of a time that someone typed.
   *
   * @param at the moment; absent when the words are not clear or the time has passed
   * @param open whether the line is open then
   * @param note what people should know about this time
   * @param why a sentence for people, when there is no moment
   */
  public record TypedTime(
      @Nullable Instant at, boolean open, @Nullable String note, @Nullable String why) {
    /** Reads a time by the clocks and hours of a line. */
    public static TypedTime read(String words, Hours hours, Instant now) {
      return of(TimeReader.read(words, hours, now));
    }

    static TypedTime of(TimeReader.Reading reading) {
      return reading instanceof TimeReader.Reading.At found
          ? new TypedTime(found.at(), found.open(), found.note().orElse(null), null)
          : new TypedTime(null, false, null, ((TimeReader.Reading.Unclear) reading).why());
    }
  }

  /** Why it cannot be set aside until then; empty when it can. */
  public Optional<String> objection(Openings openings, Instant now) {
    return switch (kind) {
      case LATER_TODAY ->
          given(openings.laterToday(now), "The line is not open for two more hours today.");
      case TOMORROW -> given(openings.tomorrow(now), "The line does not open again.");
      case NEXT_MONDAY -> given(openings.nextMonday(now), "The line opens on no Monday.");
      case WHEN_THEY_WRITE -> Optional.empty();
      case AT ->
          at == null
              ? Optional.of("Choose a time.")
              : at.isAfter(now)
                  ? tooFar(at, now)
                  : Optional.of("That time has passed already. Nothing was changed.");
    };
  }

  private static Optional<String> tooFar(Instant at, Instant now) {
    return at.isAfter(now.plus(FARTHEST))
        ? Optional.of("Choose a time within ten years. Nothing was changed.")
        : Optional.empty();
  }

  private static Optional<String> given(Optional<Instant> opening, String otherwise) {
    return opening.map(found -> Optional.<String>empty()).orElse(Optional.of(otherwise));
  }

  /**
   * The instant; empty for only when the customer writes.
   *
   * @throws Problem when there is an {@link #objection}
   */
  Optional<Instant> until(Openings openings, Instant now) {
    objection(openings, now)
        .ifPresent(why -> {
          throw Problem.fields(List.of(new FieldProblem("at", why)));
        });
    Function<Openings, Optional<Instant>> reading =
        switch (kind) {
          case LATER_TODAY -> o -> o.laterToday(now);
          case TOMORROW -> o -> o.tomorrow(now);
          case NEXT_MONDAY -> o -> o.nextMonday(now);
          case WHEN_THEY_WRITE, AT -> o -> Optional.ofNullable(at);
        };
    return kind == Kind.WHEN_THEY_WRITE ? Optional.empty() : reading.apply(openings);
  }
}
