package fabulum.server.platform.web;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.Components;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.security.SecurityRequirement;
import io.swagger.v3.oas.models.security.SecurityScheme;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How the API describes itself. */
@Configuration(proxyBeanMethods = false)
class ApiDescription {
  private static final String SESSION = "session";

  @Bean
  OpenAPI fabulumApi() {
    return new OpenAPI()
        .info(
            new Info()
                .title("Fabulum")
                .version("1")
                .description("The JSON API of a shared texting inbox."))
        .servers(List.of(new Server().url("/")))
        .components(
            new Components()
                .addSecuritySchemes(
                    SESSION,
                    new SecurityScheme()
                        .type(SecurityScheme.Type.APIKEY)
                        .in(SecurityScheme.In.COOKIE)
                        .name("JSESSIONID")
                        .description("The cookie that signing in sets.")))
        .security(List.of(new SecurityRequirement().addList(SESSION)));
  }

  /** Signing in and joining need no session yet. */
  @Bean
  OpenApiCustomizer openDoors() {
    return api ->
        api.getPaths()
            .forEach((path, item) -> {
              if (path.startsWith("/api/invitations/")) {
                item.readOperations().forEach(operation -> operation.setSecurity(List.of()));
              } else if (path.equals("/api/session")) {
                item.getPost().setSecurity(List.of());
              }
            });
  }

  @Bean
  ModelConverter requiredComponents() {
    return new RequiredComponents();
  }

  /**
   * Every component of a record is required in the description unless it is {@code @Nullable};
   * those are left out when empty.
   */
  private static final class RequiredComponents implements ModelConverter {

    @Override
    public @Nullable Schema<?> resolve(
        AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
      Schema<?> resolved = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
      JavaType java = Json.mapper().constructType(type.getType());
      if (resolved != null && java != null && java.getRawClass().isRecord()) {
        requireComponents(java.getRawClass(), model(resolved, context));
      }
      return resolved;
    }

    private static @Nullable Schema<?> model(Schema<?> resolved, ModelConverterContext context) {
      String reference = resolved.get$ref();
      return reference == null
          ? resolved
          : context.getDefinedModels().get(reference.substring(reference.lastIndexOf('/') + 1));
    }

    private static void requireComponents(Class<?> type, @Nullable Schema<?> model) {
      if (model != null) {
        model.setRequired(
            Arrays.stream(type.getRecordComponents())
                .filter(
                    component -> !component.getAnnotatedType().isAnnotationPresent(Nullable.class))
                .map(RecordComponent::getName)
                .sorted()
                .toList());
      }
    }
  }
}
