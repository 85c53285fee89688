/** The way to the service that checks numbers. */
@NullMarked
package fabulum.server.numbers.checker;

import org.jspecify.annotations.NullMarked;
