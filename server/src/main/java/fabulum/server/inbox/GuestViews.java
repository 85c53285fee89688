package fabulum.server.inbox;

import fabulum.server.access.Guests;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.InSight;
import fabulum.server.inbox.DossierView.MyPart;
import fabulum.server.people.People;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Who was brought into a conversation, and what that lets one do. */
@Component
class GuestViews {
  private final Guests guests;
  private final InSight inSight;
  private final People people;

  GuestViews(Guests guests, InSight inSight, People people) {
    this.guests = guests;
    this.inSight = inSight;
    this.people = people;
  }

  List<GuestView> of(Conversation row) {
    return guests.in(row.id()).stream()
        .map(one ->
            new GuestView(
                people.get(new StaffId(one.staff())),
                people.get(new StaffId(one.by())).name(),
                one.mayAnswer()))
        .toList();
  }

  /** The part of who was only brought in. */
  Optional<MyPart> partOf(Conversation row, StaffId who) {
    return inSight.isTheirs(row, who)
        ? Optional.empty()
        : guests
            .find(row.id(), who)
            .map(one -> one.mayAnswer() ? MyPart.NOTES_AND_ANSWERS : MyPart.NOTES);
  }
}
