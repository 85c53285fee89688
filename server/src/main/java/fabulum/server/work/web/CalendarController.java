package fabulum.server.work.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.work.CalendarAddress;
import fabulum.server.work.CalendarAddresses;
import fabulum.server.work.CalendarAddresses.MadeAddress;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Appointments for calendar programs. */
@RestController
class CalendarController {
  private static final MediaType CALENDAR =
      new MediaType("text", "calendar", StandardCharsets.UTF_8);

  private final CalendarAddresses addresses;

  CalendarController(CalendarAddresses addresses) {
    this.addresses = addresses;
  }

  /**
   * Whose appointments an address shall show.
   *
   * @param siteId only those of customers of this site; absent for all
   */
  record AddressMessage(@Nullable Long siteId) {}

  /** The addresses of the signed-in person. */
  @GetMapping("/api/calendar-addresses")
  List<CalendarAddress> calendarAddresses(@AuthenticationPrincipal SignedIn me) {
    return addresses.list(me.id());
  }

  /** Makes an address; it is in the answer and nowhere else. */
  @PostMapping("/api/calendar-addresses")
  MadeAddress addCalendarAddress(
      @AuthenticationPrincipal SignedIn me, @RequestBody AddressMessage wanted) {
    return addresses.add(wanted.siteId(), me.id());
  }

  /** Ends an address. */
  @DeleteMapping("/api/calendar-addresses/{id}")
  void endCalendarAddress(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    addresses.end(id, me.id());
  }

  /** The appointments, for who knows the address. */
  @GetMapping("/calendar/{secret}.ics")
  ResponseEntity<String> calendar(@PathVariable String secret) {
    return addresses
        .read(secret)
        .map(calendar ->
            ResponseEntity.ok()
                .contentType(CALENDAR)
                .cacheControl(CacheControl.noStore())
                .body(calendar))
        .orElseGet(() -> ResponseEntity.notFound().build());
  }
}
