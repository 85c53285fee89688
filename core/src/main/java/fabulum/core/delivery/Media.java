package fabulum.core.delivery;

import org.jspecify.annotations.Nullable;

/**
 * What goes with a text, by reference.
 *
 * @param url where it can be fetched for some days; signed, so that nobody can guess it
 * @param name of the file; null for none
 * @param type its media type, for example {@code image/jpeg}
 * @param octets its size
 * @param sha256 of its content, 64 hexadecimal digits; null where that is not said
 */
public record Media(
    String url, @Nullable String name, String type, long octets, @Nullable String sha256) {}
