package fabulum.server.platform.web;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/**
 * Every address a person may bookmark leads to the one page; its script reads the rest of the
 * address.
 */
@Controller
@Hidden
class Pages {

  @GetMapping({
    "/",
    "/inbox",
    "/inbox/**",
    "/identify",
    "/identify/**",
    "/customers",
    "/customers/**",
    "/planned",
    "/templates",
    "/templates/**",
    "/history",
    "/history/**",
    "/office",
    "/office/**",
    "/me",
    "/me/**",
    "/setup",
    "/setup/**",
    "/invitation/**"
  })
  String page() {
    return "forward:/index.html";
  }

  /** An address that a person mistyped, or that was another one once: the page says so. */
  @GetMapping(
      path = {
        "/{place:(?!api|webhook|form|media|assets|demo|error|actuator)[^.]+}",
        "/{place:(?!api|webhook|form|media|assets|demo|error|actuator)[^.]+}/**"
      },
      headers = "Accept=text/html")
  String nowhere(HttpServletResponse response) {
    response.setStatus(HttpServletResponse.SC_NOT_FOUND);
    return "forward:/index.html";
  }
}
