package fabulum.server;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.net.BindException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.sql.SQLException;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationPropertiesBindException;
import org.springframework.boot.context.properties.bind.validation.BindValidationException;
import org.springframework.boot.web.server.PortInUseException;

/** Why a start failed, in a sentence, and what to do. */
final class StartFailure {
  /** Error codes of H2 (org.h2.api.ErrorCode). */
  private static final int DATABASE_ALREADY_OPEN = 90020;

  private static final int FILE_CORRUPTED = 90030;
  private static final int WRONG_FORMAT = 90048;
  private static final int GENERAL = 50000;
  private static final int IO = 90028;
  private static final int IO_OF_FILE = 90031;
  private static final int READ_ONLY = 90097;

  /** Classes of SQLSTATE (ISO/IEC 9075-2, and PostgreSQL's appendix A). */
  private static final String NO_CONNECTION = "08";

  private static final String NOT_LET_IN = "28";
  private static final String NO_SUCH_DATABASE = "3D000";

  private StartFailure() {}

  static String explain(Throwable failure) {
    for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
      Optional<String> sentence = sentence(cause);
      if (sentence.isPresent()) {
        return "Fabulum did not start: " + sentence.get();
      }
    }
    return "Fabulum did not start, for a reason it does not know:\n" + trace(failure);
  }

  private static Optional<String> sentence(Throwable cause) {
    if (cause instanceof PortInUseException taken) {
      return Optional.of(
          "port "
              + taken.getPort()
              + " is taken by another program. Stop that one, or choose another with"
              + " --server.port.");
    }
    if (cause instanceof BindException) {
      return Optional.of("its port or address cannot be used. Choose another with --server.port.");
    }
    if (cause instanceof SQLException sql) {
      return ofDatabase(sql);
    }
    if (cause instanceof AccessDeniedException || cause instanceof FileSystemException) {
      return Optional.of(
          "the data folder cannot be written: "
              + cause.getMessage()
              + ". Give it to the user who runs Fabulum, or name another with --fabulum.data.");
    }
    return ofConfiguration(cause);
  }

  private static Optional<String> ofDatabase(SQLException sql) {
    return switch (sql.getErrorCode()) {
      case DATABASE_ALREADY_OPEN ->
          Optional.of(
              "its data is in use by another Fabulum. Stop that one, or name another folder with"
                  + " --fabulum.data.");
      case FILE_CORRUPTED, WRONG_FORMAT, GENERAL ->
          Optional.of(
              "the database file is damaged and was left as it is. Put back the newest backup of"
                  + " the data folder. ("
                  + firstLine(sql.getMessage())
                  + ")");
      case IO, IO_OF_FILE, READ_ONLY ->
          Optional.of(
              "the database file cannot be written. Give the data folder to the user who runs"
                  + " Fabulum, see that the disk is not full, or name another folder with"
                  + " --fabulum.data.");
      default -> ofServer(sql, sql.getSQLState() == null ? "" : sql.getSQLState());
    };
  }

  private static Optional<String> ofServer(SQLException sql, String state) {
    if (state.startsWith(NO_CONNECTION)) {
      return Optional.of(
          "the database server does not answer. See that it runs and that fabulum.database.url is"
              + " right. ("
              + firstLine(sql.getMessage())
              + ")");
    }
    if (state.startsWith(NOT_LET_IN) || state.equals(NO_SUCH_DATABASE)) {
      return Optional.of(
          "the database server refuses the connection. Check fabulum.database.url, user and"
              + " password. ("
              + firstLine(sql.getMessage())
              + ")");
    }
    return Optional.empty();
  }

  private static Optional<String> ofConfiguration(Throwable cause) {
    if (cause instanceof BindValidationException invalid) {
      return Optional.of(
          "the configuration is not complete: "
              + invalid.getValidationErrors().getAllErrors().get(0).getDefaultMessage()
              + ".");
    }
    if (cause instanceof ConfigurationPropertiesBindException bad
        && !(bad.getCause() instanceof BindValidationException)
        && bad.getCause() != null
        && !hasValidation(bad)) {
      return Optional.of(
          "a setting cannot be read: "
              + firstLine(bad.getCause().getMessage())
              + ". Correct it in the configuration.");
    }
    return Optional.empty();
  }

  private static boolean hasValidation(Throwable failure) {
    for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
      if (cause instanceof BindValidationException) {
        return true;
      }
    }
    return false;
  }

  private static String firstLine(@Nullable String message) {
    return message == null ? "" : message.lines().findFirst().orElse("");
  }

  private static String trace(Throwable failure) {
    StringWriter trace = new StringWriter();
    failure.printStackTrace(new PrintWriter(trace));
    return trace.toString();
  }
}
