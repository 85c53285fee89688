package fabulum.server.lines;

import fabulum.core.hours.Hours;
import fabulum.core.hours.WeekReader;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.promise.Promise;
import java.time.Duration;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * The lines of the business as the configuration names them. At the start, those whose number is
 * not known yet are added; known ones are left as they are.
 */
@ConfigurationProperties("fabulum")
public record LineSettings(@DefaultValue List<ConfiguredLine> lines) {

  public LineSettings {
    lines = List.copyOf(lines);
  }

  /**
   * One line.
   *
   * @param team whose it is; made when there is none of this name
   * @param number in E.164
   * @param region ISO 3166-1, two capital letters
   * @param zone IANA name
   * @param hours as {@link WeekReader} reads them; none for always open
   * @param promise the working time within which it answers
   */
  public record ConfiguredLine(
      String site,
      @DefaultValue(NewLine.FIRST_TEAM) String team,
      String name,
      String number,
      String region,
      String zone,
      @DefaultValue("") String hours,
      @DefaultValue("1h") Duration promise) {

    NewLine line() {
      Hours open = new Hours(ZoneId.of(zone), WeekReader.read(hours), Set.of());
      return new NewLine(
          site,
          team,
          name,
          new PhoneNumber(number),
          new Region(region),
          open,
          new Promise(promise));
    }
  }
}
