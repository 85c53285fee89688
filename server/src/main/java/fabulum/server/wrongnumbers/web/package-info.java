/** Wrong numbers over HTTP. */
@NullMarked
package fabulum.server.wrongnumbers.web;

import org.jspecify.annotations.NullMarked;
