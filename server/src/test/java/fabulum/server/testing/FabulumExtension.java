package fabulum.server.testing;

import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;

/**
 * Gives tests the application, started once for all of them. Tests keep apart by using numbers of
 * their own.
 */
public final class FabulumExtension implements ParameterResolver {

  @Override
  public boolean supportsParameter(ParameterContext parameter, ExtensionContext test) {
    return parameter.getParameter().getType() == Fabulum.class;
  }

  @Override
  public Object resolveParameter(ParameterContext parameter, ExtensionContext test) {
    return test.getRoot()
        .getStore(ExtensionContext.Namespace.GLOBAL)
        .getOrComputeIfAbsent(Fabulum.class, key -> Fabulum.startInBusiness(), Fabulum.class);
  }
}
