/** Conversations over HTTP. */
@NullMarked
package fabulum.server.conversations.web;

import org.jspecify.annotations.NullMarked;
