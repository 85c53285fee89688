package fabulum.server.messaging.network;

import fabulum.core.delivery.ClientReference;
import fabulum.core.delivery.Gateway;
import fabulum.core.delivery.SendOutcome;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Stands in while no network is set up: texts wait. */
final class NoNetwork implements Gateway {

  @Override
  public SendOutcome send(OutgoingText text) {
    return new SendOutcome.RefusedForNow(
        "no-network", "No phone network is set up yet.", Optional.empty());
  }

  @Override
  public LookUp find(ClientReference reference) {
    return new LookUp.NotKnown();
  }

  @Override
  public Listing listReceived(Instant from, Instant to) {
    return Listing.of(List.of());
  }
}
