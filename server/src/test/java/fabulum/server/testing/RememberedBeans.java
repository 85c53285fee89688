package fabulum.server.testing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.beans.factory.support.DefaultListableBeanFactory;
import org.springframework.core.ResolvableType;

/**
 * Beans that are looked up by type once for all programs of the same definitions: for each of some
 * thousand places where a bean is wanted Spring asks all definitions for their type, a quarter of
 * what a start takes.
 */
final class RememberedBeans extends DefaultListableBeanFactory {
  private static final Map<List<String>, Same> PROGRAMS = new ConcurrentHashMap<>();

  private final List<String> handedIn = new ArrayList<>();
  private volatile @Nullable Same same;

  /** All programs whose beans are defined alike. */
  private static final class Same {
    private final Map<Asked, String[]> names = new ConcurrentHashMap<>();
  }

  private record Asked(Object type, boolean alsoPrototypes, boolean mayStart) {}

  @Override
  public void registerSingleton(String name, Object bean) {
    super.registerSingleton(name, bean);
    handedIn.add(name);
    same = null;
  }

  @Override
  public void registerBeanDefinition(String name, BeanDefinition definition) {
    super.registerBeanDefinition(name, definition);
    same = null;
  }

  @Override
  public String[] getBeanNamesForType(
      ResolvableType type, boolean alsoPrototypes, boolean mayStart) {
    return names(
        new Asked(type, alsoPrototypes, mayStart),
        () -> super.getBeanNamesForType(type, alsoPrototypes, mayStart));
  }

  @Override
  public String[] getBeanNamesForType(
      @Nullable Class<?> type, boolean alsoPrototypes, boolean mayStart) {
    if (type == null) {
      return super.getBeanNamesForType((Class<?>) null, alsoPrototypes, mayStart);
    }
    return names(
        new Asked(type, alsoPrototypes, mayStart),
        () -> super.getBeanNamesForType(type, alsoPrototypes, mayStart));
  }

  private String[] names(Asked asked, Supplier<String[]> lookedUp) {
    if (!isConfigurationFrozen()) {
      return lookedUp.get();
    }
    Map<Asked, String[]> known = same().names;
    String[] names = known.get(asked);
    if (names == null) {
      // Not computed in the map: a look may start beans, and these look again.
      names = lookedUp.get();
      known.put(asked, names);
    }
    return names.clone();
  }

  private Same same() {
    Same found = same;
    if (found == null) {
      List<String> all = new ArrayList<>(handedIn);
      for (String name : getBeanDefinitionNames()) {
        BeanDefinition one = getBeanDefinition(name);
        all.add(name + ' ' + one.getBeanClassName() + ' ' + one.getFactoryMethodName());
      }
      found = PROGRAMS.computeIfAbsent(List.copyOf(all), none -> new Same());
      same = found;
    }
    return found;
  }
}
