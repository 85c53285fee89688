package fabulum.server.platform.web;

import fabulum.server.platform.Problem.Kind;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What goes wrong before a controller is reached is told in the same form as all else. */
@RestController
@Hidden
class Failures implements ErrorController {
  private static final int SERVER = 500;

  @RequestMapping("/error")
  ResponseEntity<ProblemDocument> failed(HttpServletRequest request) {
    Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
    if (!(status instanceof Integer code)) {
      return ProblemDocument.of(Kind.NOT_FOUND, "There is nothing at this address.").answer();
    }
    if (code >= SERVER) {
      return ProblemDocument.of(
              Kind.BROKEN,
              "Something broke on our side. Nothing of this request was kept; try again.")
          .answer();
    }
    return ProblemDocument.of(
            code == Kind.NOT_FOUND.status() ? Kind.NOT_FOUND : Kind.UNREADABLE,
            "The request is not what this address expects. Nothing was changed.")
        .answer();
  }
}
