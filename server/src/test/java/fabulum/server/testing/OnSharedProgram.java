package fabulum.server.testing;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.ResourceLock;

/**
 * Tests on the application that is started once for all of them. They run one class after another,
 * because they share its clock and its network; other tests run beside them. Ordered last: one
 * thread takes classes from the end, the others from the beginning, so none waits for another.
 */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@ExtendWith(FabulumExtension.class)
@ResourceLock("the shared program")
@Order(Integer.MAX_VALUE)
public @interface OnSharedProgram {}
