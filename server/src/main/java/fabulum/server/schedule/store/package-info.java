@NullMarked
package fabulum.server.schedule.store;

import org.jspecify.annotations.NullMarked;
