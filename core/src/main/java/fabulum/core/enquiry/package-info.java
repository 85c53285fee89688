/** Enquiries from a web site: what may be asked, and how a number is confirmed. */
@NullMarked
package fabulum.core.enquiry;

import org.jspecify.annotations.NullMarked;
