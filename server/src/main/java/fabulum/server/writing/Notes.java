package fabulum.server.writing;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.InSight;
import fabulum.server.platform.Problem;
import fabulum.server.writing.store.WritingMapper;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Words for the team only: added, and changed or withdrawn by the person who wrote them. */
@Service
public class Notes {
  private final WritingMapper notes;
  private final Drafts drafts;
  private final Bookkeeping books;
  private final InSight inSight;
  private final References references;
  private final Mentioning mentions;
  private final ToDos toDos;

  Notes(
      WritingMapper notes,
      Drafts drafts,
      Bookkeeping books,
      InSight inSight,
      References references,
      Mentioning mentions,
      ToDos toDos) {
    this.notes = notes;
    this.drafts = drafts;
    this.books = books;
    this.inSight = inSight;
    this.references = references;
    this.mentions = mentions;
    this.toDos = toDos;
  }

  /**
   * Adds a note. Adding it twice under one reference adds it once. Everybody it names must see the
   * conversation, else nothing is added.
   *
   * @param toDo what it asks for; null for nothing
   */
  @Transactional
  public void add(
      ConversationId id, String words, ToDo.@Nullable Wanted toDo, String reference, StaffId by) {
    Conversation row = inSight.lockToNote(id, by);
    if (references.isKnown(row, words, reference)) {
      return;
    }
    if (toDo != null) {
      toDos.require(row, toDo);
    }
    Set<Long> named = mentions.named(row, words);
    long entry = books.append(Entry.note(row.id(), books.now(), words, by.value(), reference));
    drafts.discard(id, Paper.NOTE, by);
    mentions.tell(id, new EntryId(entry), named, by);
    if (toDo != null) {
      toDos.add(row, new EntryId(entry), toDo, by);
    }
    books.changed(row.id(), List.of(entry));
  }

  /** Lets a note of the person's own say something else; what it said is kept. */
  @Transactional
  public void rewrite(ConversationId id, EntryId note, String words, StaffId by) {
    Conversation row = inSight.lockToNote(id, by);
    Entry entry = own(row, note, by);
    if (words.equals(entry.words())) {
      return;
    }
    Set<Long> named = mentions.named(row, words);
    notes.keepBefore(note.value(), books.now());
    notes.rewrite(note.value(), words, books.now());
    mentions.tell(id, note, named, by);
    books.changed(row.id(), List.of(note.value()));
  }

  /** Withdraws a note of the person's own; what it said is kept, out of sight. */
  @Transactional
  public void withdraw(ConversationId id, EntryId note, StaffId by) {
    Conversation row = inSight.lockToNote(id, by);
    Entry entry = own(row, note, by);
    notes.keepBefore(entry.id(), books.now());
    notes.withdraw(note.value(), books.now());
    toDos.withdraw(note);
    books.changed(row.id(), List.of(note.value()));
  }

  private Entry noteOf(Conversation row, EntryId note) {
    Entry entry = books.findEntry(note.value()).orElse(null);
    if (entry == null || entry.conversationId() != row.id() || entry.kind() != EntryKind.NOTE) {
      throw Problem.notFound("note");
    }
    return entry;
  }

  private Entry own(Conversation row, EntryId note, StaffId by) {
    Entry entry = noteOf(row, note);
    if (entry.withdrawn()) {
      throw Problem.notFound("note");
    }
    if (entry.speakerId() == null || entry.speakerId() != by.value()) {
      throw Problem.notAllowed("Only the author of a note can change it. Add your own instead.");
    }
    return entry;
  }

  /** What a note said before, the oldest first. */
  public List<NoteBefore> trace(ConversationId id, EntryId note, StaffId asking) {
    noteOf(inSight.row(id, asking), note);
    return notes.listBefore(note.value());
  }
}
