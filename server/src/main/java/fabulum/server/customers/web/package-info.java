/** What is on file of customers, over HTTP. */
@NullMarked
package fabulum.server.customers.web;

import org.jspecify.annotations.NullMarked;
