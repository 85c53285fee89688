package fabulum.server.testing;

import java.util.List;
import org.springframework.beans.factory.config.ConfigurableListableBeanFactory;
import org.springframework.beans.factory.support.DefaultListableBeanFactory;
import org.springframework.boot.web.server.servlet.context.AnnotationConfigServletWebServerApplicationContext;

/**
 * The application's context, which remembers for all programs of a test run which beans there are:
 * they do not change meanwhile.
 */
final class RememberingContext extends AnnotationConfigServletWebServerApplicationContext {
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
    beans.addBeanPostProcessor(new RememberedStatements(settings));
  }

  @Override
  protected void finishRefresh() {
    super.finishRefresh();
    RememberedStatements.of(settings, this);
  }
}
