package fabulum.server.exports;

import java.io.Closeable;
import java.io.IOException;
import java.util.List;

/** Writes lines of a script into a file, one after the other. */
interface ScriptWriter extends Closeable {
  void write(List<ScriptLine> lines) throws IOException;

  /** Ends the file; it is not whole without. */
  void end() throws IOException;
}
