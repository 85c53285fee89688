package fabulum.core.phone;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WhereaboutsTest {
  private final Whereabouts whereabouts = new Whereabouts();

  @ParameterizedTest
  @CsvSource({
    "+13125550142, US, America/Chicago",
    "+12125550142, US, America/New_York",
    "+14165550142, CA, America/Toronto",
    "+442079460123, GB, Europe/London",
    // In more zones than one, by its tables.
    "+18005550142, US, ''",
    // An area code that the tables do not list.
    "+12225550142, '', ''",
    // A network of the whole world, and a country code that does not exist.
    "+88351000990142, '', ''",
    "+2101234567, '', ''"
  })
  void aNumberBelongsWhereTheTablesSayAndElseNowhere(String number, String country, String zone) {
    PhoneNumber read = new PhoneNumber(number);
    assertThat(whereabouts.country(read).map(Region::code).orElse("")).isEqualTo(country);
    assertThat(whereabouts.zone(read).map(Object::toString).orElse("")).isEqualTo(zone);
  }
}
