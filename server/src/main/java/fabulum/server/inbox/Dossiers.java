package fabulum.server.inbox;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.Shown;
import fabulum.server.conversations.Undelivered;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.CustomerView;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberId;
import fabulum.server.ownership.Summaries;
import fabulum.server.presence.Watchers;
import fabulum.server.writing.Drafts;
import java.util.List;
import org.springframework.stereotype.Service;

/** What a person needs to know before answering. */
@Service
public class Dossiers {
  private final InSight inSight;
  private final ConversationViews views;
  private final Customers customers;
  private final Drafts drafts;
  private final Summaries summaries;
  private final Undelivered undelivered;
  private final Watchers watchers;

  Dossiers(
      InSight inSight,
      ConversationViews views,
      Customers customers,
      Drafts drafts,
      Summaries summaries,
      Undelivered undelivered,
      Watchers watchers) {
    this.inSight = inSight;
    this.views = views;
    this.customers = customers;
    this.drafts = drafts;
    this.summaries = summaries;
    this.undelivered = undelivered;
    this.watchers = watchers;
  }

  /** The dossier of a conversation, with the drafts of the person who asks. */
  public DossierView of(ConversationId id, StaffId asking) {
    Conversation row = inSight.row(id, asking);
    NumberId number = new NumberId(row.numberId());
    CustomerView customer =
        row.customerId() == null
            ? null
            : customers.find(new CustomerId(row.customerId()), number).orElse(null);
    Shown shown = undelivered.shown(row);
    return new DossierView(
        views.of(List.of(row)).get(0),
        customer,
        row.isGroup() ? List.of() : customers.holderNames(number),
        views.members(row),
        views.guests(row),
        views.partOf(row, asking).orElse(null),
        drafts.list(id, asking),
        drafts.listAttached(id, asking),
        drafts.listLeft(id, asking),
        summaries.of(row),
        shown.newest(),
        shown.lost(),
        watchers.at(id).watchers());
  }
}
