package fabulum.server.writing.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.writing.Addressees;
import fabulum.server.writing.Ways;
import fabulum.server.writing.WriteTo;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Whom to write to, and where. */
@RestController
class WriteToController {
  private final WriteTo writeTo;
  private final Addressees addressees;
  private final Ways ways;

  WriteToController(WriteTo writeTo, Addressees addressees, Ways ways) {
    this.ways = ways;
    this.addressees = addressees;
    this.writeTo = writeTo;
  }

  /**
   * Whom to write to.
   *
   * @param number as it was typed
   * @param others further numbers, with which it forms a group whose members see each other's texts
   * @param makeCustomer whether the number becomes a customer's, when nobody holds it
   * @param name of that customer; empty for the number as their name
   */
  record OpenRequest(
      long line,
      @NotBlank(message = "Type a number.") @Size(max = 40, message = "No number is this long.")
          String number,
      @Nullable @Size(max = 50, message = "A group has at most 20 numbers.")
          List<
                  @NotBlank(message = "Type a number.")
                  @Size(max = 40, message = "No number is this long.") String>
              others,
      boolean makeCustomer,
      @Nullable String name) {}

  /** The conversation to write in. */
  record OpenResponse(long id) {}

  /** The lines on which I can begin a conversation. */
  @GetMapping("/api/write-to/lines")
  List<LineView> lines(@AuthenticationPrincipal SignedIn me) {
    return addressees.lines(me.id());
  }

  /** Finds whom to write to, by name, number or detail. */
  @GetMapping("/api/write-to")
  Addressees.Found find(
      @AuthenticationPrincipal SignedIn me, @RequestParam String words, @RequestParam long line) {
    return addressees.find(words, new LineId(line), me.id());
  }

  /** The conversation to write in: the one there is, else a new one. */
  @PostMapping("/api/write-to")
  OpenResponse open(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody OpenRequest wanted) {
    String name = wanted.name() == null ? "" : wanted.name();
    List<String> numbers = new ArrayList<>(List.of(wanted.number()));
    if (wanted.others() != null) {
      numbers.addAll(wanted.others());
    }
    WriteTo.Wanted whom =
        new WriteTo.Wanted(new LineId(wanted.line()), numbers, wanted.makeCustomer(), name);
    return new OpenResponse(writeTo.open(whom, me.id()).value());
  }

  /** From which lines, and to which numbers, I can write to the customer; this way first. */
  @GetMapping("/api/conversations/{id}/ways")
  List<Ways.Way> ways(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return ways.list(new ConversationId(id), me.id());
  }
}
