/**
 * The pretend outside world: a phone network with handsets, spoken to over HTTP. Its protocol is in
 * {@code docs/network-api.md}.
 */
@NullMarked
package fabulum.standins;

import org.jspecify.annotations.NullMarked;
