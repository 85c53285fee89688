package fabulum.server.platform.web;

import java.util.List;
import org.springframework.beans.factory.support.BeanDefinitionRegistry;
import org.springframework.beans.factory.support.BeanDefinitionRegistryPostProcessor;
import org.springframework.stereotype.Component;

/**
 * Leaves out Spring Boot's search for Jackson mixins: it reads every class file of the program at
 * each start, a tenth of its work, and there are none.
 */
@Component
class NoMixins implements BeanDefinitionRegistryPostProcessor {
  private static final List<String> SEARCH =
      List.of("jacksonMixinModule", "jacksonMixinModuleEntries");

  @Override
  public void postProcessBeanDefinitionRegistry(BeanDefinitionRegistry beans) {
    SEARCH.stream().filter(beans::containsBeanDefinition).forEach(beans::removeBeanDefinition);
  }
}
