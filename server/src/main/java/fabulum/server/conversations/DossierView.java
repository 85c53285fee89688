package fabulum.server.conversations;

import fabulum.server.customers.CustomerView;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What one needs to know before answering.
 *
 * @param customer who it is; empty while to be identified
 * @param holders everybody the number belongs to, by name
 * @param drafts what this member of staff has begun to write here
 */
public record DossierView(
    ConversationView conversation,
    @Nullable CustomerView customer,
    List<String> holders,
    List<DraftView> drafts) {}
