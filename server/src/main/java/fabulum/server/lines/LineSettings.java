package fabulum.server.lines;

import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import java.time.ZoneId;
import java.util.List;
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
   * @param number in E.164
   * @param region ISO 3166-1, two capital letters
   * @param zone IANA name
   */
  public record ConfiguredLine(
      String site, String name, String number, String region, String zone) {

    NewLine line() {
      return new NewLine(site, name, new PhoneNumber(number), new Region(region), ZoneId.of(zone));
    }
  }
}
