package fabulum.standins;

import org.jspecify.annotations.Nullable;

/**
 * What goes with a text.
 *
 * @param url where it can be fetched
 * @param sha256 of its content, in hexadecimal digits
 * @param file under which this network keeps it; null while it does not
 */
public record Media(
    @Nullable String url,
    @Nullable String name,
    @Nullable String type,
    long octets,
    @Nullable String sha256,
    @Nullable String file) {

  Media keptAs(String where) {
    return new Media(url, name, type, octets, sha256, where);
  }
}
