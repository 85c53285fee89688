/** The API of agreement and of what is set about sending. */
@NullMarked
package fabulum.server.sending.web;

import org.jspecify.annotations.NullMarked;
