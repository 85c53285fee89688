package fabulum.server.exports;

import fabulum.server.attachments.Attachment;
import fabulum.server.attachments.Attachments;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.script.EntryView;
import fabulum.server.exports.ScriptLine.File;
import fabulum.server.history.HistoryRowView;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What was said, as it is taken out. */
@Component
class ScriptLines {
  private final Lines lines;
  private final Attachments attachments;

  ScriptLines(Lines lines, Attachments attachments) {
    this.lines = lines;
    this.attachments = attachments;
  }

  /**
   * The lines of some entries.
   *
   * @param withFiles their contents are taken out as well, so that each has a name of its own
   */
  List<ScriptLine> of(List<HistoryRowView> rows, boolean withFiles) {
    Map<Long, LineView> byId =
        lines.list().stream().collect(Collectors.toMap(LineView::id, line -> line));
    Map<Long, List<File>> files = files(rows, withFiles);
    return rows.stream()
        .map(row ->
            of(
                row,
                Objects.requireNonNull(byId.get(row.lineId())),
                files.getOrDefault(row.entry().id(), List.of())))
        .toList();
  }

  private static ScriptLine of(HistoryRowView row, LineView line, List<File> files) {
    EntryView entry = row.entry();
    return new ScriptLine(
        entry.id(),
        entry.at().atZone(ZoneId.of(line.zone())).toOffsetDateTime(),
        direction(entry.kind()),
        line.name(),
        number(row),
        Optional.ofNullable(row.customerName()).orElse(""),
        by(entry),
        entry.automatic(),
        Optional.ofNullable(entry.words()).orElse(""),
        entry.event() == null ? null : entry.event().name(),
        entry.delivery(),
        entry.failureReason(),
        entry.parts(),
        entry.cost(),
        entry.currency(),
        files);
  }

  private static String direction(EntryKind kind) {
    return switch (kind) {
      case IN -> "received";
      case OUT -> "sent";
      case NOTE -> "note";
      case EVENT -> "event";
    };
  }

  private static String number(HistoryRowView row) {
    EntryView entry = row.entry();
    if (entry.number() != null) {
      return entry.number();
    }
    boolean each = row.group() && entry.deliveries() != null && !entry.deliveries().isEmpty();
    return each
        ? Objects.requireNonNull(entry.deliveries()).stream()
            .map(EntryView.To::number)
            .collect(Collectors.joining("; "))
        : row.address();
  }

  private static String by(EntryView entry) {
    if (entry.speaker() != null) {
      return entry.speaker().name();
    }
    return entry.author() != null ? entry.author() : entry.automatic() ? "Fabulum" : "";
  }

  /** What goes or came with each, read at once for all of them. */
  private Map<Long, List<File>> files(List<HistoryRowView> rows, boolean withFiles) {
    List<Long> entries =
        rows.stream()
            .map(HistoryRowView::entry)
            .filter(entry -> entry.attachments() != null && !entry.attachments().isEmpty())
            .map(EntryView::id)
            .toList();
    Map<Long, List<File>> files = new HashMap<>();
    for (Attachment file : attachments.rowsOf(entries)) {
      long entry = Objects.requireNonNull(file.entryId());
      files.computeIfAbsent(entry, none -> new ArrayList<>()).add(file(entry, file, withFiles));
    }
    return files;
  }

  private static File file(long entry, Attachment file, boolean withFiles) {
    @Nullable String hash = file.hash();
    boolean there = withFiles && hash != null;
    return new File(
        file.name(),
        file.mediaType(),
        file.octets(),
        there ? "files/" + entry + "-" + file.place() + "-" + file.name() : "",
        there ? String.valueOf(hash) : "",
        file.words());
  }
}
