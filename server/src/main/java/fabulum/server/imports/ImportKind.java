package fabulum.server.imports;

import fabulum.core.imports.Subject;
import fabulum.server.imports.FileReading.Read;
import java.util.List;

/** What becomes of files about one subject: planned, taken in, and taken back. */
interface ImportKind {
  Subject subject();

  /** What becomes of each row; nothing is changed. */
  List<PlannedRow> plan(Read read, ImportChoice choice);

  /** What some rows came to. */
  record Came(int added, int changed) {}

  /** Takes new and changed rows in, within a transaction; may be tried again. */
  Came take(List<PlannedRow> some, ImportTaking.Of of);

  /**
   * Takes an import back, some of it at a time; begun again it goes on.
   *
   * @return how many of what it added stay, because more was done with them since
   */
  int undo(long act, long staff);

  /** What stays, for people. */
  String stay(int count);
}
