/** The table of exports. */
@NullMarked
package fabulum.server.exports.store;

import org.jspecify.annotations.NullMarked;
