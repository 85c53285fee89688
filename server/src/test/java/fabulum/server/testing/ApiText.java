package fabulum.server.testing;

import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.ProblemDocument;
import fabulum.server.platform.web.Problems;
import io.swagger.v3.core.converter.ModelConverters;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.PathItem;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import io.swagger.v3.oas.models.tags.Tag;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.method.HandlerMethod;

/** Puts words and problems into the description of the API, when it is made. */
@Configuration(proxyBeanMethods = false)
public class ApiText {
  private static final String PROBLEMS = "x-problems";
  private static final String ROOT = "fabulum.server.";

  @Bean
  OperationCustomizer words() {
    return ApiText::describe;
  }

  private static Operation describe(Operation operation, HandlerMethod handler) {
    Class<?> type = handler.getBeanType();
    String text = ApiWords.get().ofMethod(type.getSimpleName(), handler.getMethod().getName());
    int end = text.indexOf(". ");
    operation.setSummary(end < 0 ? text : text.substring(0, end + 1));
    if (end >= 0) {
      operation.setDescription(text.substring(end + 2));
    }
    String module = type.getPackageName().substring(ROOT.length()).split("\\.")[0];
    operation.setTags(List.of(module));
    Problems more = handler.getMethodAnnotation(Problems.class);
    operation.addExtension(PROBLEMS, more == null ? List.<Kind>of() : List.of(more.value()));
    return operation;
  }

  @Bean
  OpenApiCustomizer problemsAndParts() {
    return api -> {
      ModelConverters.getInstance(true)
          .readAll(ProblemDocument.class)
          .forEach(api.getComponents()::addSchemas);
      Set<String> modules = new TreeSet<>();
      api.getPaths()
          .forEach((path, item) ->
              item.readOperationsMap()
                  .forEach((method, operation) -> {
                    modules.addAll(operation.getTags());
                    problems(path, method, operation);
                  }));
      api.setTags(
          modules.stream()
              .map(module ->
                  new Tag().name(module).description(ApiWords.get().ofPackage(ROOT + module)))
              .toList());
      parts(api);
    };
  }

  private static void problems(String path, PathItem.HttpMethod method, Operation operation) {
    boolean changes = method != PathItem.HttpMethod.GET;
    boolean takesBody = operation.getRequestBody() != null;
    List<Kind> kinds = new ArrayList<>();
    kinds.add(Kind.NOT_SIGNED_IN);
    kinds.add(Kind.PASSWORD_CHANGE_NEEDED);
    kinds.add(Kind.NOT_ALLOWED);
    if (changes) {
      kinds.add(Kind.STALE_PAGE);
      kinds.add(Kind.NO_SPACE);
    }
    if (path.contains("{") || takesBody || operation.getParameters() != null) {
      kinds.add(Kind.NOT_FOUND);
      kinds.add(Kind.BAD_FIELDS);
      kinds.add(Kind.UNREADABLE);
    }
    if (takesBody) {
      kinds.add(Kind.TOO_LARGE);
    }
    ((List<?>) operation.getExtensions().remove(PROBLEMS)).forEach(kind -> kinds.add((Kind) kind));
    if (operation.getExtensions().isEmpty()) {
      operation.setExtensions(null);
    }
    Map<Integer, List<Kind>> byStatus =
        kinds.stream()
            .collect(Collectors.groupingBy(Kind::status, TreeMap::new, Collectors.toList()));
    byStatus.forEach((status, all) ->
        operation
            .getResponses()
            .addApiResponse(
                String.valueOf(status),
                new ApiResponse()
                    .description(
                        all.stream()
                            .map(kind -> kind.type() + ": " + kind.title())
                            .collect(Collectors.joining("; ")))
                    .content(
                        new Content()
                            .addMediaType(
                                "application/problem+json",
                                new MediaType()
                                    .schema(
                                        new Schema<>()
                                            .$ref("#/components/schemas/ProblemDocument"))))));
  }

  private static void parts(OpenAPI api) {
    api.getComponents()
        .getSchemas()
        .forEach((name, schema) -> {
          if (schema.getDescription() == null && !ApiWords.get().ofType(name).isEmpty()) {
            schema.setDescription(ApiWords.get().ofType(name));
          }
          if (schema.getProperties() != null) {
            ((Map<?, ?>) schema.getProperties())
                .forEach(
                    (part, property) -> part(name, String.valueOf(part), (Schema<?>) property));
          }
        });
  }

  /** Words of its own, else a name that says it all: "lastWords" is "last words". */
  private static void part(String type, String part, Schema<?> property) {
    String words = ApiWords.get().ofPart(type, part);
    if (!words.isEmpty() && property.get$ref() == null) {
      property.setDescription(words);
    } else if (property.get$ref() == null) {
      property.setDescription(part.replaceAll("([a-z])([A-Z])", "$1 $2").toLowerCase(Locale.ROOT));
    }
  }
}
