package fabulum.server.platform.web;

import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import java.io.IOException;
import java.util.List;
import org.apache.catalina.connector.ClientAbortException;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.HttpMediaTypeException;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.ServletRequestBindingException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Turns whatever went wrong into a problem document. */
@RestControllerAdvice
class ProblemAdvice {
  private static final Logger log = LoggerFactory.getLogger(ProblemAdvice.class);

  @ExceptionHandler
  ResponseEntity<ProblemDocument> problem(Problem problem) {
    return ProblemDocument.of(problem).answer();
  }

  @ExceptionHandler
  ResponseEntity<ProblemDocument> badFields(MethodArgumentNotValidException bad) {
    List<FieldProblem> fields =
        bad.getBindingResult().getFieldErrors().stream()
            .map(e -> new FieldProblem(e.getField(), String.valueOf(e.getDefaultMessage())))
            .toList();
    return ProblemDocument.of(Problem.fields(fields)).answer();
  }

  @ExceptionHandler({
    HttpMessageNotReadableException.class,
    MethodArgumentTypeMismatchException.class,
    ServletRequestBindingException.class,
    HttpMediaTypeException.class,
    MultipartException.class,
    InvalidParameterException.class
  })
  ResponseEntity<ProblemDocument> unreadable() {
    return ProblemDocument.of(
            Kind.UNREADABLE, "The request is not what this address expects. Nothing was changed.")
        .answer();
  }

  @ExceptionHandler
  ResponseEntity<ProblemDocument> tooLarge(MaxUploadSizeExceededException large) {
    String why = "This file is larger than 40 MB. Nothing was changed.";
    return ProblemDocument.of(Problem.fields(List.of(new FieldProblem("file", why)))).answer();
  }

  @ExceptionHandler
  ResponseEntity<ProblemDocument> nothingHere(NoResourceFoundException missing) {
    return ProblemDocument.of(Kind.NOT_FOUND, "There is nothing at this address.").answer();
  }

  @ExceptionHandler
  ResponseEntity<ProblemDocument> wrongMethod(HttpRequestMethodNotSupportedException wrong) {
    return ProblemDocument.of(
            Kind.METHOD_NOT_ALLOWED, "This address does not take " + wrong.getMethod() + ".")
        .answer();
  }

  /** The browser went away in the middle; there is nobody left to tell. */
  @ExceptionHandler({AsyncRequestNotUsableException.class, ClientAbortException.class})
  void gone() {}

  @ExceptionHandler({RuntimeException.class, IOException.class})
  ResponseEntity<ProblemDocument> broken(Exception bug) {
    for (Throwable cause = bug; cause != null; cause = cause.getCause()) {
      // What stands in the way of a statement is told as it is.
      if (cause instanceof Problem problem) {
        return problem(problem);
      }
    }
    log.error("Unexpected failure", bug);
    return ProblemDocument.of(
            Kind.BROKEN,
            "Something broke on our side. Nothing of this request was kept; try again.")
        .answer();
  }
}
