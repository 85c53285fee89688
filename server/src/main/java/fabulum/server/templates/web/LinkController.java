package fabulum.server.templates.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.templates.Link;
import fabulum.server.templates.Links;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Saved links of the business. */
@RestController
@RequestMapping("/api/links")
class LinkController {
  private final Links links;

  LinkController(Links links) {
    this.links = links;
  }

  /** A link as it is wanted. */
  record LinkRequest(
      @NotNull(message = "Give it a name.") @Size(max = 400, message = "That is too long.")
          String name,
      @NotNull(message = "An address is needed.") @Size(max = 4_000, message = "That is too long.")
          String address) {
    Link link(long id) {
      return new Link(id, name, address);
    }
  }

  /** The links that placeholders can point to. */
  @GetMapping
  List<Link> links() {
    return links.list();
  }

  /** Adds a link; for leads. */
  @PostMapping
  long addLink(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody LinkRequest wanted) {
    return links.save(wanted.link(0), me.id());
  }

  /** Changes a link; for leads. */
  @PutMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void changeLink(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody LinkRequest wanted) {
    links.save(wanted.link(id), me.id());
  }

  /** Removes a link; templates that point to it have a gap there. For leads. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeLink(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    links.remove(id, me.id());
  }
}
