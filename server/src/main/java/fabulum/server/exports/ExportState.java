package fabulum.server.exports;

/** How far an export is. */
public enum ExportState {
  /** It waits for those before it, or for the next start. */
  WAITING,
  RUNNING,
  /** Its file can be fetched. */
  READY,
  FAILED
}
