/** Notes and drafts over HTTP. */
@NullMarked
package fabulum.server.writing.web;

import org.jspecify.annotations.NullMarked;
