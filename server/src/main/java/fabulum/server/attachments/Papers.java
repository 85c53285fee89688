package fabulum.server.attachments;

import fabulum.server.access.StaffId;
import fabulum.server.attachments.Attachment.State;
import fabulum.server.attachments.Preparation.Ready;
import fabulum.server.attachments.store.AttachmentMapper;
import fabulum.server.platform.Problem;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** What people have put to texts that they have not sent. It is that person's alone. */
@Service
public class Papers {
  private final AttachmentMapper attachments;
  private final Attachments all;
  private final Intake intake;
  private final Clock clock;

  Papers(AttachmentMapper attachments, Attachments all, Intake intake, Clock clock) {
    this.attachments = attachments;
    this.all = all;
    this.intake = intake;
    this.clock = clock;
  }

  /**
   * Makes a file ready and puts it on a person's paper.
   *
   * @param most octets that the line carries; pictures are made so small
   * @throws Problem with the reason when it cannot be sent; nothing is kept then
   */
  public AttachmentView put(
      long conversation, StaffId by, String name, InputStream content, long most) {
    int there = attachments.listOnPaper(conversation, by.value()).size();
    if (there >= Attachments.MOST) {
      throw Attachments.bad("One text takes " + Attachments.MOST + " attachments at most.");
    }
    Ready ready = intake.take(name, content, most);
    Attachment made = made(conversation, by, there, ready);
    return AttachmentView.of(all.get(new AttachmentId(attachments.insert(made, null))));
  }

  /** Puts what is here already on a person's paper as well. */
  AttachmentView putCopy(
      long conversation, StaffId by, String name, Optional<Path> content, long most) {
    try (InputStream octets =
        Files.newInputStream(content.orElseThrow(() -> Problem.notFound("file")))) {
      return put(conversation, by, name, octets, most);
    } catch (IOException e) {
      throw new UncheckedIOException("A file cannot be read", e);
    }
  }

  /** Puts what went or came with a text on a person's paper as well. */
  public AttachmentView putAgain(Attachment attachment, long conversation, StaffId by, long most) {
    return putCopy(conversation, by, attachment.name(), all.content(attachment), most);
  }

  private Attachment made(long conversation, StaffId by, int place, Ready ready) {
    return new Attachment(
        0,
        conversation,
        null,
        by.value(),
        null,
        null,
        place,
        ready.name(),
        ready.mediaType(),
        ready.content().octets(),
        ready.cameOctets(),
        ready.content().hash(),
        ready.preview(),
        ready.size() == null ? null : ready.size().width(),
        ready.size() == null ? null : ready.size().height(),
        "",
        State.HERE,
        clock.instant(),
        null,
        null,
        0);
  }

  /** What is on a person's paper. */
  public List<AttachmentView> listOnPaper(long conversation, StaffId by) {
    return attachments.listOnPaper(conversation, by.value()).stream()
        .map(AttachmentView::of)
        .toList();
  }

  /** What someone has put to texts that they have not sent, by conversation. */
  public Map<Long, BegunPaper> listBegun(StaffId by) {
    Map<Long, BegunPaper> begun = new LinkedHashMap<>();
    attachments.listBegun(by.value()).forEach(one -> begun.put(one.conversationId(), one));
    return begun;
  }

  /**
   * What someone who has left had put to a text.
   *
   * @param at when the first was put there
   */
  public record LeftPaper(Instant at, List<AttachmentView> attachments) {
    public LeftPaper {
      attachments = List.copyOf(attachments);
    }

    private static LeftPaper of(List<Attachment> all) {
      return new LeftPaper(all.get(0).madeAt(), all.stream().map(AttachmentView::of).toList());
    }
  }

  /** What people who have left had put to texts in a conversation, by person. */
  public Map<Long, LeftPaper> listLeft(long conversation) {
    return attachments.listLeft(conversation).stream()
        .collect(
            Collectors.groupingBy(
                one -> Objects.requireNonNull(one.staffId()),
                LinkedHashMap::new,
                Collectors.collectingAndThen(Collectors.toList(), LeftPaper::of)));
  }

  /** Takes something off a person's paper. */
  public void remove(AttachmentId id, StaffId by) {
    if (attachments.deleteFromPaper(id.value(), by.value()) == 0) {
      throw Problem.notFound("attachment");
    }
  }

  /** Lets attachments wait with a text for a second look. To be used in the same transaction. */
  public void waitWith(long look, StaffId writer, List<Long> ids) {
    for (int i = 0; i < ids.size(); i++) {
      if (attachments.putToLook(ids.get(i), writer.value(), look, i) == 0) {
        throw Attachments.gone();
      }
    }
  }

  /**
   * A text does not wait for a second look any more: what went with it is on its writer's paper
   * again.
   */
  public void giveBack(long look) {
    attachments.takeFromLook(look);
  }

  /** What waits with texts for a second look, by look. */
  public Map<Long, List<AttachmentView>> listOfLooks(List<Long> looks) {
    return looks.isEmpty()
        ? Map.of()
        : Attachments.byKey(attachments.listOfLooks(looks), Attachment::secondLookId);
  }
}
