package fabulum.server.conversations.script;

import fabulum.server.attachments.AttachmentView;
import fabulum.server.attachments.Attachments;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.script.EntryView.To;
import fabulum.server.conversations.script.EntryView.Writer;
import fabulum.server.conversations.store.DeliveryRow;
import fabulum.server.conversations.store.EntryMapper;
import fabulum.server.conversations.store.MentionRow;
import fabulum.server.conversations.store.NumberRow;
import fabulum.server.conversations.store.PastTextMapper;
import fabulum.server.conversations.store.PastTextMapper.AuthorRow;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Entries as they are told. What was withdrawn has no words. */
@Component
public class EntryViews {
  private final EntryMapper entries;
  private final People people;
  private final Writers writers;
  private final PastTextMapper past;
  private final Attachments attachments;

  EntryViews(
      EntryMapper entries,
      People people,
      Writers writers,
      PastTextMapper past,
      Attachments attachments) {
    this.attachments = attachments;
    this.entries = entries;
    this.people = people;
    this.writers = writers;
    this.past = past;
  }

  /** Entries as they are told, in the same order. */
  public List<EntryView> of(List<Entry> rows) {
    Map<Long, StaffView> staff = people.byId();
    Map<Long, String> authors = authors(rows);
    Map<Long, List<Long>> mentions = mentions(rows);
    Map<Long, String> numbers = numbers(rows);
    Map<Long, List<To>> deliveries = deliveries(rows);
    Map<Long, Writer> writing = writers.of(rows);
    Map<Long, List<AttachmentView>> attached = attached(rows);
    return rows.stream()
        .map(row ->
            view(
                row,
                staff,
                authors.get(row.id()),
                mentions.getOrDefault(row.id(), List.of()),
                row.numberId() == null ? null : numbers.get(row.numberId()),
                writing.get(row.id()),
                deliveries.get(row.id()),
                row.withdrawn() ? null : attached.get(row.id())))
        .toList();
  }

  private Map<Long, List<AttachmentView>> attached(List<Entry> rows) {
    return attachments.listOfEntries(
        rows.stream()
            .filter(row -> row.kind() == EntryKind.IN || row.kind() == EntryKind.OUT)
            .map(Entry::id)
            .toList());
  }

  /** Of texts of ours that nobody on the staff wrote, nor the program. */
  private Map<Long, String> authors(List<Entry> rows) {
    List<Long> ids =
        rows.stream()
            .filter(row -> row.kind() == EntryKind.OUT)
            .filter(row -> row.speakerId() == null && !row.automatic())
            .map(Entry::id)
            .toList();
    return ids.isEmpty()
        ? Map.of()
        : past.listAuthors(ids).stream()
            .collect(Collectors.toMap(AuthorRow::entryId, AuthorRow::author));
  }

  private Map<Long, String> numbers(List<Entry> rows) {
    List<Long> ids =
        rows.stream().map(Entry::numberId).filter(Objects::nonNull).distinct().toList();
    return ids.isEmpty()
        ? Map.of()
        : entries.listNumbers(ids).stream()
            .collect(Collectors.toMap(NumberRow::id, NumberRow::address));
  }

  private Map<Long, List<To>> deliveries(List<Entry> rows) {
    List<Long> sent =
        rows.stream().filter(row -> row.kind() == EntryKind.OUT).map(Entry::id).toList();
    return sent.isEmpty()
        ? Map.of()
        : entries.listDeliveries(sent).stream()
            .collect(
                Collectors.groupingBy(
                    DeliveryRow::entryId,
                    Collectors.mapping(
                        to -> new To(to.address(), to.state(), to.failureReason()),
                        Collectors.toList())));
  }

  private Map<Long, List<Long>> mentions(List<Entry> rows) {
    List<Long> notes =
        rows.stream().filter(row -> row.kind() == EntryKind.NOTE).map(Entry::id).toList();
    return notes.isEmpty()
        ? Map.of()
        : entries.listMentions(notes).stream()
            .collect(
                Collectors.groupingBy(
                    MentionRow::entryId,
                    Collectors.mapping(MentionRow::staffId, Collectors.toList())));
  }

  private static EntryView view(
      Entry row,
      Map<Long, StaffView> staff,
      @Nullable String author,
      List<Long> mentions,
      @Nullable String number,
      @Nullable Writer writer,
      @Nullable List<To> deliveries,
      @Nullable List<AttachmentView> attached) {
    return new EntryView(
        row.id(),
        row.conversationId(),
        row.at(),
        row.kind(),
        row.withdrawn() ? null : row.words(),
        row.event(),
        find(row.speakerId(), staff),
        author,
        row.automatic(),
        row.reference(),
        row.delivery(),
        row.failureCode(),
        row.failureReason(),
        row.parts(),
        row.workingSeconds(),
        find(row.aboutStaff(), staff),
        row.aboutTeam(),
        row.editedAt(),
        row.withdrawn(),
        row.claimedAt(),
        row.arrivedAt(),
        row.needsHand(),
        mentions,
        number,
        writer,
        deliveries,
        row.leavesAt(),
        row.cost(),
        row.currency(),
        attached);
  }

  private static @Nullable StaffView find(@Nullable Long id, Map<Long, StaffView> staff) {
    return id == null ? null : staff.get(id);
  }
}
