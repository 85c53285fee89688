package fabulum.server.templates;

import fabulum.core.access.Act;
import fabulum.core.template.Placeholder;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.platform.BriefMemory;
import fabulum.server.platform.CachedSetUp;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.templates.store.TemplateMapper;
import java.net.URI;
import java.net.URISyntaxException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The addresses of the business that texts point to. */
@Service
public class Links implements CachedSetUp {
  private static final int LONGEST_ADDRESS = 400;
  private static final int MOST = 60;

  private final TemplateMapper rows;
  private final Permits permits;
  private final ApplicationEventPublisher events;
  private final BriefMemory<List<Link>> all;

  Links(TemplateMapper rows, Permits permits, ApplicationEventPublisher events) {
    this.rows = rows;
    this.permits = permits;
    this.events = events;
    this.all = new BriefMemory<>(rows::listLinks);
  }

  /** All of them, by name. */
  public List<Link> list() {
    return all.get();
  }

  /**
   * Adds a link, or changes one; for leads.
   *
   * @param link with id 0 for a new one
   */
  @Transactional
  public long save(Link link, StaffId by) {
    permits.require(by, Act.LEAD);
    String name = link.name().strip();
    String address = link.address().strip();
    String key = name.toLowerCase(Locale.ROOT);
    List<FieldProblem> bad = new ArrayList<>();
    if (!Placeholder.isName(name)) {
      bad.add(new FieldProblem("name", "A name has 1 to 60 characters, without braces and bars."));
    }
    List<Link> there = rows.listLinks();
    if (there.stream()
        .anyMatch(
            one -> one.id() != link.id() && one.name().toLowerCase(Locale.ROOT).equals(key))) {
      bad.add(new FieldProblem("name", "There is a link with this name."));
    }
    if (!isAddress(address)) {
      bad.add(
          new FieldProblem(
              "address",
              "An address begins with https:// or http://, such as https://quill.example."));
    }
    if (link.id() == 0 && there.size() >= MOST) {
      bad.add(new FieldProblem("name", "There are 60 links already. Remove one first."));
    }
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
    long id = link.id();
    if (id == 0) {
      id = rows.insertLink(name, key, address);
    } else if (rows.updateLink(id, name, key, address) == 0) {
      throw Problem.notFound("link");
    }
    changed();
    return id;
  }

  private static boolean isAddress(String address) {
    if (address.length() > LONGEST_ADDRESS) {
      return false;
    }
    try {
      URI uri = new URI(address);
      return Optional.ofNullable(uri.getHost()).isPresent()
          && ("https".equals(uri.getScheme()) || "http".equals(uri.getScheme()));
    } catch (URISyntaxException notAnAddress) {
      return false;
    }
  }

  /** Removes a link; for leads. Templates that point to it have a gap there. */
  @Transactional
  public void remove(long id, StaffId by) {
    permits.require(by, Act.LEAD);
    if (rows.deleteLink(id) == 0) {
      throw Problem.notFound("link");
    }
    changed();
  }

  private void changed() {
    forget();
    events.publishEvent(new TemplatesChanged());
  }

  @Override
  public void forget() {
    all.forget();
  }
}
