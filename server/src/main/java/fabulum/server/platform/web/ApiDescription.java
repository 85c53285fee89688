package fabulum.server.platform.web;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.util.ArrayList;
import java.util.List;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How the API describes itself. */
@Configuration(proxyBeanMethods = false)
class ApiDescription {

  @Bean
  OpenAPI fabulumApi() {
    return new OpenAPI()
        .info(
            new Info()
                .title("Fabulum")
                .version("1")
                .description("The JSON API of a shared texting inbox."))
        .servers(List.of(new Server().url("/")));
  }

  /** A field is there unless it is said to be nullable: records are always written whole. */
  @Bean
  OpenApiCustomizer fieldsAreRequired() {
    return api -> api.getComponents().getSchemas().values().forEach(ApiDescription::requireFields);
  }

  private static void requireFields(Schema<?> schema) {
    if (schema.getProperties() != null) {
      List<String> required = new ArrayList<>();
      schema
          .getProperties()
          .forEach((name, property) -> {
            if (!isNullable(property)) {
              required.add(name);
            }
          });
      schema.setRequired(required);
    }
  }

  private static boolean isNullable(Schema<?> property) {
    return Boolean.TRUE.equals(property.getNullable())
        || (property.getTypes() != null && property.getTypes().contains("null"));
  }
}
