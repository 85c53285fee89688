package fabulum.server.platform.web;

import fabulum.server.platform.Problem;
import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * The problems an operation can answer with, beyond those that any of its kind can. The description
 * of the API is made from it.
 */
@Documented
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface Problems {
  /** Kinds of problems. */
  Problem.Kind[] value();
}
