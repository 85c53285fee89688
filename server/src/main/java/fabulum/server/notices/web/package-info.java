/** Notices over HTTP. */
@NullMarked
package fabulum.server.notices.web;

import org.jspecify.annotations.NullMarked;
