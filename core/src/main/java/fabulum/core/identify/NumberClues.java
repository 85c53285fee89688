package fabulum.core.identify;

import fabulum.core.phone.PhoneNumber;
import fabulum.core.reading.Likeness;
import fabulum.core.reading.Rarity;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Evidence from the number itself. */
final class NumberClues {
  private static final int AREA = 5;
  private static final int SHORTEST_NOTED = 7;

  private final Optional<PhoneNumber> number;
  private final Instant asOf;
  private final Rarity rarity;

  NumberClues(Inquiry inquiry, Rarity rarity) {
    number = inquiry.number();
    asOf = inquiry.asOf();
    this.rarity = rarity;
  }

  List<Evidence> of(Profile profile) {
    return number.map(own -> of(own, profile)).orElse(List.of());
  }

  private List<Evidence> of(PhoneNumber own, Profile profile) {
    List<Evidence> found = new ArrayList<>();
    boolean area = false;
    boolean near = false;
    for (Profile.Held held : profile.numbers()) {
      if (held.number().equals(own)) {
        boolean theirs = held.at(asOf);
        found.add(
            new Evidence(
                theirs ? Clue.HOLDS_NUMBER : Clue.HELD_NUMBER,
                1,
                theirs ? "The number is theirs." : "The number was theirs."));
        return found;
      }
      near |= isNear(own.e164(), held.number().e164());
      area |= area(own).equals(area(held.number()));
    }
    if (near) {
      found.add(new Evidence(Clue.NEAR_NUMBER, 1, "One digit differs from a number of theirs."));
    }
    if (profile.notes().stream().anyMatch(note -> noted(note, own.e164()))) {
      found.add(new Evidence(Clue.NOTED_NUMBER, 1, "The number stands in their notes."));
    }
    if (area) {
      found.add(
          new Evidence(
              Clue.SAME_AREA,
              Rarity.of(rarity.inArea(area(own))),
              "Same area code as a number of theirs."));
    }
    return found;
  }

  /** Country and area, roughly: the first digits. */
  static String area(PhoneNumber number) {
    return number.e164().substring(0, Math.min(AREA, number.e164().length()));
  }

  /**
   * Whether two numbers differ by one digit, one too many or too few, or by two neighbours swapped.
   */
  static boolean isNear(String a, String b) {
    return !a.equals(b) && Likeness.distance(a, b, 1) == 1;
  }

  private static boolean noted(String note, String e164) {
    String digits = note.replaceAll("(?<=\\d)[\\s().\\-/]+(?=\\d)", "");
    String own = e164.substring(1);
    String national = own.length() > 10 ? own.substring(own.length() - 10) : own;
    return national.length() >= SHORTEST_NOTED && digits.contains(national);
  }
}
