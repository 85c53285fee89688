/** Fabulum's server: one package is one module. */
@NullMarked
package fabulum.server;

import org.jspecify.annotations.NullMarked;
