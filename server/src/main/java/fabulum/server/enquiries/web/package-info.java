/** The pages of the forms, the call for other programs, and the set-up of forms. */
@NullMarked
package fabulum.server.enquiries.web;

import org.jspecify.annotations.NullMarked;
