package fabulum.server.removal;

import fabulum.core.access.Act;
import fabulum.core.conversation.ConversationState;
import fabulum.core.identify.WhoWrote;
import fabulum.server.access.AccessRecord;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.accounts.Secrets;
import fabulum.server.attachments.AttachmentRemoval;
import fabulum.server.attachments.KeptFiles;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.SpokeLast;
import fabulum.server.customers.CustomerChanges;
import fabulum.server.customers.CustomerFile;
import fabulum.server.customers.CustomerFiles;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.CustomersRemoved;
import fabulum.server.customers.Holdings;
import fabulum.server.customers.NumberId;
import fabulum.server.customers.NumberMade;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.removal.store.RemovalMapper;
import fabulum.server.removal.store.RemovalMapper.NumberRow;
import fabulum.server.removal.store.RemovalMapper.TextRow;
import java.time.Instant;
import java.util.List;
import java.util.TreeSet;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Removes customers for good: their words, numbers and all that is on file of them, everywhere in
 * the database. An opt-out is kept under a one-way fingerprint of the number, so that it holds when
 * the number comes back. Backups that were made before have what they had; see {@code
 * docs/running.md}. Leads do it, and only those to whom it was given.
 */
@Service
public class Removals {
  private static final String KEY = "removed numbers";
  private static final String IN_PLACE = "Removed for good.";

  private final RemovalMapper rows;
  private final CustomerFiles files;
  private final Stories stories;
  private final Secrets secrets;
  private final Permits permits;
  private final AccessRecord record;
  private final ApplicationEventPublisher events;

  Removals(
      RemovalMapper rows,
      CustomerFiles files,
      Stories stories,
      Secrets secrets,
      Permits permits,
      AccessRecord record,
      ApplicationEventPublisher events) {
    this.rows = rows;
    this.files = files;
    this.stories = stories;
    this.secrets = secrets;
    this.permits = permits;
    this.record = record;
    this.events = events;
  }

  /**
   * What would be removed.
   *
   * @param numbers of theirs alone, that are forgotten
   * @param shared numbers that stay, because others have or had them too
   * @param conversations with their numbers alone
   * @param texts in those conversations
   * @param work appointments and jobs
   */
  public record RemovalView(
      String name, int numbers, int shared, int conversations, int texts, int work) {}

  /** What would be removed with a customer. */
  public RemovalView preview(CustomerId id, StaffId asking) {
    permits.require(asking, Act.LEAD);
    permits.require(asking, Act.REMOVE_FOR_GOOD);
    return view(id, plan(id));
  }

  private record Plan(List<Long> customers, List<NumberRow> numbers, List<Long> conversations) {
    List<Long> own() {
      return numbers.stream().filter(one -> !one.shared()).map(NumberRow::id).toList();
    }
  }

  private Plan plan(CustomerId id) {
    List<Long> customers = rows.listJoined(id.value());
    if (customers.isEmpty()) {
      throw Problem.notFound("customer");
    }
    List<NumberRow> numbers = rows.listNumbers(customers);
    Plan plan = new Plan(customers, numbers, List.of());
    return plan.own().isEmpty()
        ? plan
        : new Plan(customers, numbers, rows.listConversations(plan.own()));
  }

  private RemovalView view(CustomerId id, Plan plan) {
    int own = plan.own().size();
    return new RemovalView(
        files.find(id).map(CustomerFile::name).orElse(""),
        own,
        plan.numbers().size() - own,
        plan.conversations().size(),
        plan.conversations().isEmpty() ? 0 : rows.countTexts(plan.conversations()),
        rows.countWork(plan.customers()));
  }

  /**
   * Removes a customer for good.
   *
   * @param name typed by the person as a second confirmation; must be the customer's
   */
  @Transactional
  public RemovalView remove(CustomerId id, String name, StaffId by) {
    permits.require(by, Act.LEAD);
    permits.require(by, Act.REMOVE_FOR_GOOD);
    Plan plan = plan(id);
    RemovalView view = view(id, plan);
    if (!view.name().strip().equalsIgnoreCase(name.strip())) {
      throw Problem.fields(
          List.of(
              new FieldProblem("name", "This is not the customer's name. Nothing was removed.")));
    }
    plan.numbers().forEach(number -> stories.hold(new NumberId(number.id())));
    plan.numbers().stream()
        .filter(NumberRow::shared)
        .forEach(number -> stories.leaveShared(number.id(), plan.customers(), IN_PLACE));
    if (!plan.own().isEmpty()) {
      stories.leaveGroups(plan.own(), IN_PLACE);
    }
    stories.clear(plan.conversations());
    clearFile(plan, by);
    clearNumbers(plan);
    stories.settle(plan.numbers().stream().filter(NumberRow::shared).map(NumberRow::id).toList());
    plan.customers().forEach(one -> stories.tell(new CustomerId(one)));
    events.publishEvent(
        new CustomersRemoved(plan.customers().stream().map(CustomerId::new).toList(), view.name()));
    record.note(
        by,
        "a customer",
        "removed for good",
        null,
        "%d numbers, %d conversations, %d texts, %d appointments and jobs"
            .formatted(view.numbers(), view.conversations(), view.texts(), view.work()));
    return view;
  }

  private void clearFile(Plan plan, StaffId by) {
    List<Long> customers = plan.customers();
    List<String> addresses = rows.listMailAddresses(customers);
    if (!addresses.isEmpty()) {
      rows.deleteMail(addresses);
    }
    rows.deleteAsks(customers, plan.own());
    rows.deleteHoldingEnds(customers);
    rows.deleteHoldings(customers);
    rows.deleteSaid(customers);
    rows.clearActs(customers, plan.own(), stories.now(), by.value());
    stories.forgetKept(customers);
    rows.deleteFile(customers);
    rows.deleteWork(customers);
    rows.deleteChanges(customers);
    rows.clearHolder(customers);
    rows.deleteCustomers(customers);
  }

  private void clearNumbers(Plan plan) {
    if (plan.own().isEmpty()) {
      return;
    }
    for (NumberRow number : plan.numbers()) {
      if (!number.shared()) {
        rows.keepAgreement(number.id(), secrets.fingerprint(KEY, number.address()));
        rows.deleteKeptAside(number.address());
        rows.deleteEnquiries(number.address());
        rows.deleteEnquiryCodes(number.address());
      }
    }
    rows.deleteAgreement(plan.own());
    rows.deleteNotForUs(plan.own());
    rows.deleteChecks(plan.own());
    plan.own().forEach(rows::clearNumber);
  }

  /** A number that was removed comes back as a stranger's; that it opted out holds. */
  @EventListener
  void made(NumberMade number) {
    rows.restoreAgreement(number.id().value(), secrets.fingerprint(KEY, number.sender().address()));
  }

  /** What was said. */
  @Component
  static class Stories {
    private final RemovalMapper rows;
    private final Bookkeeping books;
    private final Conversations conversations;
    private final Holdings holdings;
    private final CustomerChanges changes;
    private final AttachmentRemoval attachments;
    private final ApplicationEventPublisher events;
    private final KeptFiles kept;

    Stories(
        RemovalMapper rows,
        Bookkeeping books,
        Conversations conversations,
        Holdings holdings,
        CustomerChanges changes,
        AttachmentRemoval attachments,
        ApplicationEventPublisher events,
        KeptFiles kept) {
      this.kept = kept;
      this.attachments = attachments;
      this.events = events;
      this.rows = rows;
      this.books = books;
      this.conversations = conversations;
      this.holdings = holdings;
      this.changes = changes;
    }

    Instant now() {
      return books.now();
    }

    void forgetKept(List<Long> customers) {
      events.publishEvent(kept.forget(customers));
    }

    void hold(NumberId number) {
      holdings.hold(number);
    }

    void tell(CustomerId id) {
      changes.tell(id);
    }

    /** Takes the words of what they wrote from a number that others have too. */
    void leaveShared(long number, List<Long> customers, String inPlace) {
      WhoWrote who = holdings.whoWrote(new NumberId(number));
      List<TextRow> theirs =
          rows.listTexts(number).stream()
              .filter(text -> {
                var writer = who.of(text.conversationId(), text.id(), text.at());
                return writer.isPresent() && customers.contains(writer.getAsLong());
              })
              .toList();
      leave(theirs, inPlace);
    }

    /** Takes the words of what came from their numbers in groups, which the others keep. */
    void leaveGroups(List<Long> numbers, String inPlace) {
      List<Long> groups = rows.listGroups(numbers);
      for (long number : numbers) {
        leave(
            rows.listTexts(number).stream()
                .filter(text -> groups.contains(text.conversationId()))
                .toList(),
            inPlace);
      }
    }

    private void leave(List<TextRow> texts, String inPlace) {
      if (texts.isEmpty()) {
        return;
      }
      List<Long> ids = texts.stream().map(TextRow::id).toList();
      rows.setWords(ids, inPlace);
      events.publishEvent(attachments.forgetTexts(ids));
      List<Long> in =
          List.copyOf(new TreeSet<>(texts.stream().map(TextRow::conversationId).toList()));
      rows.setLastWords(in, inPlace);
      in.forEach(books::scriptChanged);
    }

    void clear(List<Long> all) {
      if (all.isEmpty()) {
        return;
      }
      all.forEach(id -> books.lock(new ConversationId(id)));
      events.publishEvent(attachments.forget(all));
      rows.deleteMentions(all);
      rows.deleteNotesBefore(all);
      rows.deleteOutbox(all);
      rows.deleteUnreported(all);
      rows.deleteAppended(all);
      rows.deletePastTexts(all);
      rows.deleteDrafts(all);
      rows.deleteToDos(all);
      rows.deleteSecondLooks(all);
      rows.deletePlannedRuns(all);
      rows.deletePlanned(all);
      rows.deleteNotices(all);
      rows.deleteUndoSteps(all);
      rows.deleteTopics(all);
      rows.deleteSeen(all);
      rows.clearBatchItems(all);
      rows.clearEntries(all);
      for (long id : all) {
        Conversation row = books.row(new ConversationId(id));
        books.save(row, ConversationState.blank(row.lastAt()), row.lastAt());
        books.setLast(row, row.lastAt(), "", SpokeLast.US);
        books.setOwner(row, null);
        books.setTeam(row, null);
        books.setHanded(row, null);
        rows.clearConversation(id, "removed " + id);
        books.scriptChanged(id);
      }
    }

    /** Whose conversations with numbers that stay are, without who is gone. */
    void settle(List<Long> numbers) {
      numbers.forEach(number -> conversations.matchAgain(new NumberId(number)));
    }
  }
}
