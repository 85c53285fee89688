package fabulum.core.identify;

import fabulum.core.reading.PersonName;
import fabulum.core.reading.Rarity;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Evidence from the name under which the number is registered. */
final class RegisteredClues {
  private final Optional<String> registered;
  private final Rarity rarity;

  RegisteredClues(Inquiry inquiry, Rarity rarity) {
    registered = inquiry.registeredTo().map(String::strip).filter(name -> !name.isEmpty());
    this.rarity = rarity;
  }

  Optional<Evidence> of(Profile profile) {
    return registered.flatMap(name -> of(name, profile));
  }

  private Optional<Evidence> of(String registeredTo, Profile profile) {
    List<String> persons = new ArrayList<>(profile.contacts());
    persons.add(profile.name());
    String sentence = "The number is registered to “" + registeredTo + "”.";
    if (persons.stream().anyMatch(person -> Twins.areNear(registeredTo, person))) {
      return Optional.of(new Evidence(Clue.REGISTERED, 1, sentence));
    }
    String last = PersonName.of(registeredTo).last();
    boolean family =
        !last.isEmpty() && persons.stream().anyMatch(one -> PersonName.of(one).last().equals(last));
    return family
        ? Optional.of(new Evidence(Clue.REGISTERED_FAMILY, Rarity.of(rarity.named(last)), sentence))
        : Optional.empty();
  }
}
