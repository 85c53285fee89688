package fabulum.server.setup.web;

import fabulum.server.access.TeamId;
import fabulum.server.accounts.SignedIn;
import fabulum.server.lines.Lines;
import fabulum.server.lines.SiteView;
import fabulum.server.platform.LogPage;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.setup.ChangeBook;
import fabulum.server.setup.ChangeView;
import fabulum.server.setup.LineSetUp;
import fabulum.server.setup.Outcome;
import fabulum.server.setup.TopicSetUp;
import fabulum.server.topics.TopicColour;
import fabulum.server.topics.TopicId;
import fabulum.server.topics.TopicSetup;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Topics and sites as they are set up, and who changed what. */
@RestController
@RequestMapping("/api/setup")
class TopicSetUpController {
  private static final int LONGEST_HISTORY = 100;

  private final TopicSetUp setUp;
  private final LineSetUp sites;
  private final Lines lines;
  private final ChangeBook changes;

  TopicSetUpController(TopicSetUp setUp, LineSetUp sites, Lines lines, ChangeBook changes) {
    this.setUp = setUp;
    this.sites = sites;
    this.lines = lines;
    this.changes = changes;
  }

  /** A name. */
  record NameRequest(@NotNull(message = "A name is needed.") String name) {}

  /**
   * A topic.
   *
   * @param promiseMinutes of working time; empty for as the line promises
   * @param version which state of the topic was changed; refused when it has been changed since;
   *     without it, the change holds whatever the topic is now
   */
  record TopicMessage(
      @NotNull(message = "A topic is a word or two.") String name,
      @NotNull(message = "Choose a colour.") TopicColour colour,
      @Nullable Integer promiseMinutes,
      boolean retired,
      @Nullable Long version) {
    TopicSetup setup() {
      return new TopicSetup(name, colour, promiseMinutes, retired);
    }
  }

  /** Which topic stands for the other. */
  record MergeRequest(long into) {}

  /** All sites; for leads. */
  @GetMapping("/sites")
  List<SiteView> sites() {
    return lines.listSites();
  }

  /** Adds a site; for leads. */
  @PostMapping("/sites")
  Outcome addSite(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody NameRequest site) {
    return sites.addSite(site.name(), me.id());
  }

  /** Gives a site another name; for leads. */
  @PutMapping("/sites/{id}")
  Outcome renameSite(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody NameRequest site) {
    return sites.renameSite(id, site.name(), me.id());
  }

  /** Adds a topic to a team; for leads. */
  @PostMapping("/teams/{team}/topics")
  Outcome addTopic(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long team,
      @Valid @RequestBody TopicMessage topic) {
    return setUp.addTopic(new TeamId(team), topic.setup(), me.id());
  }

  /** Changes a topic: word, colour, promise, or whether it is retired; for leads. */
  @Problems({Kind.CHANGED_MEANWHILE})
  @PutMapping("/topics/{id}")
  Outcome changeTopic(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody TopicMessage topic) {
    return setUp.changeTopic(new TopicId(id), topic.setup(), topic.version(), me.id());
  }

  /** Lets one topic stand for another everywhere, and retires it; for leads. */
  @PostMapping("/topics/{id}/merge")
  Outcome mergeTopic(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody MergeRequest merge) {
    return setUp.mergeTopic(new TopicId(id), new TopicId(merge.into()), me.id());
  }

  /**
   * A page of the change log of the set-up, 100 entries at most; for leads.
   *
   * @param from the id of the last entry of the page before; 0 for the first page
   */
  @GetMapping("/history")
  List<ChangeView> history(
      @AuthenticationPrincipal SignedIn me,
      @RequestParam(defaultValue = "0") long from,
      @RequestParam(defaultValue = "NEWEST") LogPage.Order order) {
    return changes.list(new LogPage(from, order, LONGEST_HISTORY), me.id());
  }
}
