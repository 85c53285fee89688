/** Number checks over HTTP. */
@NullMarked
package fabulum.server.numbers.web;

import org.jspecify.annotations.NullMarked;
