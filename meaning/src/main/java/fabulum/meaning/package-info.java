/** What sentences mean, by a small model that ships as a package and runs on this machine. */
@NullMarked
package fabulum.meaning;

import org.jspecify.annotations.NullMarked;
