package fabulum.core.phone;

import com.google.i18n.phonenumbers.NumberParseException;
import com.google.i18n.phonenumbers.PhoneNumberToTimeZonesMapper;
import com.google.i18n.phonenumbers.PhoneNumberUtil;
import com.google.i18n.phonenumbers.Phonenumber;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.Optional;

/**
 * Where a number belongs, by libphonenumber's tables. A number can be carried elsewhere, so this is
 * a guess.
 */
public final class Whereabouts {
  private static final String UNKNOWN_REGION = "ZZ";

  private final PhoneNumberUtil numbers = PhoneNumberUtil.getInstance();

  /**
   * The country; empty for one that the tables do not know, as that of a newly opened area code.
   */
  public Optional<Region> country(PhoneNumber number) {
    return parsed(number)
        .map(numbers::getRegionCodeForNumber)
        .filter(code -> code.matches("[A-Z]{2}") && !code.equals(UNKNOWN_REGION))
        .map(Region::new);
  }

  /**
   * The time zone, where the tables know exactly one: {@code America/Chicago} for area code 312.
   */
  public Optional<ZoneId> zone(PhoneNumber number) {
    return parsed(number)
        .map(PhoneNumberToTimeZonesMapper.getInstance()::getTimeZonesForNumber)
        .filter(zones -> zones.size() == 1)
        .map(zones -> zones.get(0))
        .filter(zone -> !zone.equals(PhoneNumberToTimeZonesMapper.getUnknownTimeZone()))
        .flatMap(Whereabouts::known);
  }

  private static Optional<ZoneId> known(String zone) {
    try {
      return Optional.of(ZoneId.of(zone));
    } catch (DateTimeException olderTables) {
      return Optional.empty();
    }
  }

  private Optional<Phonenumber.PhoneNumber> parsed(PhoneNumber number) {
    try {
      return Optional.of(numbers.parse(number.e164(), UNKNOWN_REGION));
    } catch (NumberParseException notListed) {
      return Optional.empty();
    }
  }
}
