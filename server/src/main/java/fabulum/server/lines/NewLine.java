package fabulum.server.lines;

import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import java.time.ZoneId;

/**
 * A line to be set up.
 *
 * @param site where it belongs; made when there is none of this name
 * @param name unique, 1 to 80 characters
 */
public record NewLine(String site, String name, PhoneNumber number, Region region, ZoneId zone) {}
