/** Problems as documents, pages, and the API's own description. */
@NullMarked
package fabulum.server.platform.web;

import org.jspecify.annotations.NullMarked;
