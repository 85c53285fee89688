package fabulum.server.platform.web;

import com.fasterxml.jackson.annotation.JsonInclude;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import tools.jackson.databind.json.JsonMapper;

/**
 * A problem document of RFC 9457.
 *
 * @param type stable; callers may rely on it
 * @param detail a sentence for people
 * @param fields which fields cannot be so, and why
 */
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record ProblemDocument(
    String type, String title, int status, String detail, List<FieldProblem> fields) {

  /** The document of a problem. */
  public static ProblemDocument of(Problem problem) {
    return new ProblemDocument(
        problem.kind().type(),
        problem.kind().title(),
        problem.kind().status(),
        String.valueOf(problem.getMessage()),
        problem.fields());
  }

  /** A document without fields. */
  public static ProblemDocument of(Kind kind, String detail) {
    return new ProblemDocument(kind.type(), kind.title(), kind.status(), detail, List.of());
  }

  /** The answer that carries it. */
  public ResponseEntity<ProblemDocument> answer() {
    return ResponseEntity.status(status).contentType(MediaType.APPLICATION_PROBLEM_JSON).body(this);
  }

  /** Writes it where no controller has been reached. */
  public void write(HttpServletResponse response, JsonMapper json) throws IOException {
    response.setStatus(status);
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response.setCharacterEncoding("UTF-8");
    response.getWriter().write(json.writeValueAsString(this));
  }
}
