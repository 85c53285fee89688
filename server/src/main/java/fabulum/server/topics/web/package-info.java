/** Topics over HTTP. */
@NullMarked
package fabulum.server.topics.web;

import org.jspecify.annotations.NullMarked;
