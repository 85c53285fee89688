/** Sign-in and the rules of the front door. */
@NullMarked
package fabulum.server.people.web;

import org.jspecify.annotations.NullMarked;
