package fabulum.server.imports;

/** How far an import is. */
public enum ImportState {
  /** The file is there; nothing was taken. */
  HANDED_IN,
  RUNNING,
  DONE,
  /** It is taken back, on request or because it could not go on. */
  UNDOING,
  UNDONE
}
