package fabulum.server.attachments;

import fabulum.core.attachment.FileName;
import fabulum.core.delivery.Media;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.Attachment.State;
import fabulum.server.attachments.store.AttachmentMapper;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** What goes or came with texts. Who may see a conversation is decided above. */
@Service
public class Attachments {
  /** With one text. */
  public static final int MOST = 10;

  private static final int LONGEST_WORDS = 300;
  private static final int LONGEST_URL = 2_000;
  private static final int LONGEST_TYPE = 100;

  private final AttachmentMapper attachments;
  private final Intake intake;
  private final Clock clock;

  Attachments(AttachmentMapper attachments, Intake intake, Clock clock) {
    this.attachments = attachments;
    this.intake = intake;
    this.clock = clock;
  }

  private static Predicate<Attachment> each(Set<String> had) {
    return one -> had.add(hash(one));
  }

  /** The newest that went or came with texts of these conversations; each content once. */
  public List<AttachmentView> listNewest(List<Long> conversations, int limit) {
    return conversations.isEmpty()
        ? List.of()
        : attachments.listNewest(conversations, limit).stream()
            .filter(each(new HashSet<>()))
            .map(AttachmentView::of)
            .toList();
  }

  static Problem bad(String why) {
    return Problem.fields(List.of(new FieldProblem("file", why)));
  }

  /** What is there; refused as unknown when it is not. */
  public Attachment get(AttachmentId id) {
    return attachments.find(id.value()).orElseThrow(() -> Problem.notFound("attachment"));
  }

  /**
   * What is to go with a text, in the order wanted.
   *
   * @param again the text that was not delivered and is sent again; what went with it can go again
   * @throws Problem when something is not on that person's paper, or with their waiting text, any
   *     more
   */
  public List<Attachment> listToSend(
      long conversation, StaffId writer, List<Long> ids, @Nullable Long again) {
    if (ids.isEmpty()) {
      return List.of();
    }
    if (ids.size() > MOST) {
      throw bad("One text takes " + MOST + " attachments at most.");
    }
    return ids.stream()
        .distinct()
        .map(id ->
            find(conversation, writer, id)
                .or(() -> wentWith(id, again))
                .orElseThrow(Attachments::gone))
        .toList();
  }

  /** What went with a text of ours; who sends it again must see that text, which is asked later. */
  private Optional<Attachment> wentWith(long id, @Nullable Long text) {
    return attachments
        .find(id)
        .filter(one -> text != null && text.equals(one.entryId()))
        .filter(one -> one.staffId() != null);
  }

  static Problem gone() {
    return Problem.conflict(
        Kind.CHANGED_MEANWHILE,
        "An attachment is not on this text any more: it was removed or sent in another window."
            + " Nothing was sent; look at the text and send it again.");
  }

  /** What of these is to go with a text that is being written; what is gone is left out. */
  public List<Attachment> listThere(long conversation, StaffId writer, List<Long> ids) {
    return ids.stream()
        .distinct()
        .limit(MOST)
        .flatMap(id -> find(conversation, writer, id).stream())
        .toList();
  }

  private Optional<Attachment> find(long conversation, StaffId writer, long id) {
    return attachments
        .find(id)
        .filter(one -> one.entryId() == null && one.conversationId() == conversation)
        .filter(one -> one.staffId() != null && one.staffId() == writer.value());
  }

  /** Whether these, and no others, went with a text. */
  public boolean wentWith(long entry, List<Long> ids) {
    List<String> went = rowsOf(List.of(entry)).stream().map(Attachments::hash).sorted().toList();
    List<String> wanted =
        ids.stream()
            .distinct()
            .flatMap(id -> attachments.find(id).stream())
            .map(Attachments::hash)
            .sorted()
            .toList();
    return went.equals(wanted);
  }

  private static String hash(Attachment one) {
    return one.hash() == null ? "" : one.hash();
  }

  /**
   * Lets attachments go with a text. To be used in the transaction that puts it into the outbox.
   *
   * @param again the text that was not delivered and is sent again; what went with it goes again
   */
  public void goWith(
      long conversation, long entry, StaffId writer, List<Long> ids, @Nullable Long again) {
    List<Long> each = ids.stream().distinct().toList();
    for (int i = 0; i < each.size(); i++) {
      long id = each.get(i);
      if (attachments.putToEntry(id, writer.value(), entry, i) == 0) {
        Attachment before = wentWith(id, again).orElseThrow(Attachments::gone);
        attachments.insert(
            before.copied(conversation, entry, writer.value(), i, clock.instant()), null);
      }
    }
  }

  /** Lets attachments go with a planned text. To be used in the transaction that plans it. */
  public void planWith(long planned, StaffId writer, List<Long> ids) {
    if (ids.size() > MOST) {
      throw bad("One text takes " + MOST + " attachments at most.");
    }
    for (int i = 0; i < ids.size(); i++) {
      if (attachments.putToPlanned(ids.get(i), writer.value(), planned, i) == 0) {
        throw gone();
      }
    }
  }

  /** Puts what goes with a planned text on a person's paper, in order. */
  public List<Long> takeFromPlanned(long planned, StaffId writer) {
    List<Long> ids =
        attachments.listOfPlanned(List.of(planned)).stream().map(Attachment::id).toList();
    attachments.takeFromPlanned(planned, writer.value());
    return ids;
  }

  /** The same with copies: it goes with the next text as well. */
  public List<Long> copyFromPlanned(long planned, StaffId writer) {
    Instant now = clock.instant();
    return attachments.listOfPlanned(List.of(planned)).stream()
        .map(one ->
            attachments.insert(
                one.copied(one.conversationId(), null, writer.value(), one.place(), now), null))
        .toList();
  }

  /** What goes with planned texts, by planned text. */
  public Map<Long, List<AttachmentView>> listOfPlanned(List<Long> planned) {
    return planned.isEmpty()
        ? Map.of()
        : byKey(attachments.listOfPlanned(planned), Attachment::plannedId);
  }

  /** A text does not leave: what went with it is on its writer's paper again. */
  public void takeBack(long entry) {
    attachments.takeFromEntry(entry);
  }

  /** Says what something shows, for those who do not see it. */
  public void describe(AttachmentId id, String words) {
    String said = words.strip();
    if (said.length() > LONGEST_WORDS) {
      throw Problem.fields(
          List.of(new FieldProblem("words", "Describe it in at most 300 characters.")));
    }
    attachments.setWords(id.value(), said);
  }

  /** What goes or came with texts, by entry; texts with nothing are left out. */
  public Map<Long, List<AttachmentView>> listOfEntries(List<Long> entries) {
    return byKey(rowsOf(entries), row -> row.entryId());
  }

  static Map<Long, List<AttachmentView>> byKey(
      List<Attachment> rows, Function<Attachment, Long> key) {
    return rows.stream()
        .collect(
            Collectors.groupingBy(
                key, Collectors.mapping(AttachmentView::of, Collectors.toList())));
  }

  /** What goes or came with texts. */
  public List<Attachment> rowsOf(List<Long> entries) {
    return entries.isEmpty() ? List.of() : attachments.listOfEntries(entries);
  }

  /** Notes what the network says came with a text, to be fetched. In the text's transaction. */
  public void announce(long conversation, long entry, List<Media> all) {
    Instant now = clock.instant();
    for (int i = 0; i < all.size(); i++) {
      Media one = all.get(i);
      String name = FileName.clean(one.name() == null ? "" : one.name(), "attachment");
      boolean possible = one.url().length() <= LONGEST_URL;
      String type = one.type().length() > LONGEST_TYPE ? "application/octet-stream" : one.type();
      Attachment made =
          new Attachment(
              0,
              conversation,
              entry,
              null,
              null,
              null,
              i,
              name,
              type,
              one.octets(),
              one.octets(),
              null,
              null,
              null,
              null,
              "",
              possible ? State.FETCHING : State.MISSING,
              now,
              possible ? one.url() : null,
              one.sha256(),
              0);
      attachments.insert(made, possible ? now : null);
    }
  }

  /** Tries again to fetch what could not be fetched. */
  public void fetchAgain(AttachmentId id) {
    attachments.askAgain(id.value(), clock.instant());
  }

  /** The content, if it is here. */
  public Optional<Path> content(Attachment attachment) {
    return path(attachment.hash());
  }

  /** Its picture in small, if there is one. */
  public Optional<Path> preview(Attachment attachment) {
    return path(attachment.preview());
  }

  private Optional<Path> path(@Nullable String hash) {
    return hash == null ? Optional.empty() : intake.find(hash);
  }
}
