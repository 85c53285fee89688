/** Imports over HTTP. */
@NullMarked
package fabulum.server.imports.web;

import org.jspecify.annotations.NullMarked;
