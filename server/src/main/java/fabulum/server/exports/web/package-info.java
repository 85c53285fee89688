/** Exports over HTTP. */
@NullMarked
package fabulum.server.exports.web;

import org.jspecify.annotations.NullMarked;
