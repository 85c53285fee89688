package fabulum.server.platform.web;

import io.swagger.v3.oas.annotations.Hidden;
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
    "/office",
    "/me",
    "/me/**",
    "/setup",
    "/setup/**",
    "/invitation/**"
  })
  String page() {
    return "forward:/index.html";
  }
}
