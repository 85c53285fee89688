package fabulum.server.lines;

import fabulum.core.hours.Hours;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.promise.Promise;

/**
 * A line to be set up.
 *
 * @param site where it belongs; made when there is none of this name
 * @param team whose it is; made when there is none of this name
 * @param name unique, 1 to 80 characters
 * @param hours with the zone in which times on this line are told
 */
public record NewLine(
    String site,
    String team,
    String name,
    PhoneNumber number,
    Region region,
    Hours hours,
    Promise promise) {

  /** The team there is from the beginning. */
  public static final String FIRST_TEAM = "Front office";
}
