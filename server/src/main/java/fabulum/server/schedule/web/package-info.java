@NullMarked
package fabulum.server.schedule.web;

import org.jspecify.annotations.NullMarked;
