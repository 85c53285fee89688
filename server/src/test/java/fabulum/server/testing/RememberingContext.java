package fabulum.server.testing;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.beans.factory.config.ConfigurableListableBeanFactory;
import org.springframework.beans.factory.support.DefaultListableBeanFactory;
import org.springframework.boot.web.server.servlet.context.AnnotationConfigServletWebServerApplicationContext;
import org.springframework.core.io.Resource;

/**
 * The application's context, which remembers for all programs of a test run which beans there are,
 * which class files, and what was read of them while looking for mappers: they do not change
 * meanwhile.
 */
final class RememberingContext extends AnnotationConfigServletWebServerApplicationContext {
  private static final Map<Class<?>, Map<Resource, Object>> READ = new ConcurrentHashMap<>();

  private static final Map<String, Resource[]> CLASS_FILES = new ConcurrentHashMap<>();

  private final List<String> settings;

  /** Begins; what the conditions of Spring Boot can depend on is told. */
  RememberingContext(List<String> settings) {
    super(new RememberedBeans());
    this.settings = settings;
  }

  @Override
  protected void invokeBeanFactoryPostProcessors(ConfigurableListableBeanFactory beans) {
    RememberedDefinitions.use(
        settings,
        (DefaultListableBeanFactory) beans,
        () -> super.invokeBeanFactoryPostProcessors(beans));
  }

  @Override
  public Resource[] getResources(String pattern) throws IOException {
    if (!pattern.endsWith(".class")) {
      return super.getResources(pattern);
    }
    Resource[] known = CLASS_FILES.get(pattern);
    if (known == null) {
      known = super.getResources(pattern);
      CLASS_FILES.put(pattern, known);
    }
    return known.clone();
  }

  @Override
  @SuppressWarnings("unchecked")
  public <T> Map<Resource, T> getResourceCache(Class<T> valueType) {
    return (Map<Resource, T>) READ.computeIfAbsent(valueType, type -> new ConcurrentHashMap<>());
  }

  /** Each program would have it forgotten, and the next one read every class file anew. */
  @Override
  public void clearResourceCaches() {}
}
