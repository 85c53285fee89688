package fabulum.server.testing;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.mybatis.spring.mapper.MapperScannerConfigurer;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.beans.factory.support.AbstractBeanDefinition;
import org.springframework.beans.factory.support.DefaultListableBeanFactory;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.ConstructorBound;

/**
 * Which beans a program has, as the first one of a test run has found out: a third of a start goes
 * into looking for components and asking the conditions of Spring Boot, with the same outcome for
 * all programs that differ in settings of Fabulum's own only.
 */
final class RememberedDefinitions {
  /** What a bean hears of the annotations of the class that imports it. */
  private static final String IMPORTS =
      "org.springframework.context.annotation.ConfigurationClassPostProcessor.importRegistry";

  private static final Map<List<String>, RememberedDefinitions> KNOWN = new ConcurrentHashMap<>();

  private final List<Defined> all;
  private final @Nullable Object imports;

  private record Defined(String name, AbstractBeanDefinition definition, List<String> aliases) {}

  private RememberedDefinitions(DefaultListableBeanFactory beans) {
    this.all =
        Stream.of(beans.getBeanDefinitionNames())
            .filter(name -> !looksForMappers(beans.getBeanDefinition(name)))
            .map(name ->
                new Defined(
                    name,
                    ((AbstractBeanDefinition) beans.getBeanDefinition(name)).cloneBeanDefinition(),
                    List.of(beans.getAliases(name))))
            .toList();
    this.imports = beans.getSingleton(IMPORTS);
  }

  /**
   * Gives a program the beans of those before it, and remembers what it has found out where it is
   * the first.
   *
   * @param settings what the conditions of Spring Boot can depend on
   * @param findOut looks for what is not there yet; a definition that was looked at is not again
   */
  static void use(List<String> settings, DefaultListableBeanFactory beans, Runnable findOut) {
    RememberedDefinitions known = KNOWN.get(settings);
    if (known != null) {
      known.putInto(beans);
    }
    findOut.run();
    if (known == null) {
      KNOWN.put(settings, new RememberedDefinitions(beans));
    }
  }

  /** The mappers that it has found are among the definitions; it would look for them again. */
  private static boolean looksForMappers(BeanDefinition definition) {
    return MapperScannerConfigurer.class.getName().equals(definition.getBeanClassName());
  }

  private void putInto(DefaultListableBeanFactory beans) {
    // In the order of the first: which of several beans comes first depends on it.
    Stream.of(beans.getBeanDefinitionNames()).forEach(beans::removeBeanDefinition);
    for (Defined one : all) {
      beans.registerBeanDefinition(one.name(), definition(one, beans));
      one.aliases().forEach(alias -> beans.registerAlias(one.name(), alias));
    }
    if (imports != null) {
      beans.registerSingleton(IMPORTS, imports);
    }
  }

  private static AbstractBeanDefinition definition(Defined one, DefaultListableBeanFactory beans) {
    AbstractBeanDefinition definition = one.definition().cloneBeanDefinition();
    Class<?> type = definition.hasBeanClass() ? definition.getBeanClass() : Object.class;
    if (definition.getInstanceSupplier() != null
        && type.isAnnotationPresent(ConfigurationProperties.class)) {
      // The first program would read them from its own settings.
      definition.setInstanceSupplier(() -> ConstructorBound.from(beans, one.name(), type));
    }
    return definition;
  }
}
