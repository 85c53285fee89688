package fabulum.server.platform.web;

import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Serves the API's description as it was written when Fabulum was built. */
@RestController
@Hidden
class ApiDescriptionController {

  /** This description (OpenAPI 3.1). */
  @GetMapping(path = "/api/openapi", produces = MediaType.APPLICATION_JSON_VALUE)
  Resource description() {
    return new ClassPathResource("api/openapi.json");
  }
}
