package fabulum.server.clientele.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.clientele.CustomerPageView;
import fabulum.server.clientele.CustomerPages;
import fabulum.server.clientele.CustomerPlace;
import fabulum.server.clientele.CustomerPlace.CustomerPage;
import fabulum.server.clientele.CustomerTwins;
import fabulum.server.clientele.CustomerTwins.Twin;
import fabulum.server.clientele.Story;
import fabulum.server.clientele.Story.StoryPage;
import fabulum.server.customers.CustomerId;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Reading customers: all of them, the page of each, their story. */
@RestController
@RequestMapping("/api/customers")
class ClienteleController {
  private static final int LONGEST_PAGE = 100;

  private final CustomerPlace place;
  private final CustomerPages pages;
  private final Story story;
  private final CustomerTwins twins;

  ClienteleController(CustomerPlace place, CustomerPages pages, Story story, CustomerTwins twins) {
    this.place = place;
    this.pages = pages;
    this.story = story;
    this.twins = twins;
  }

  /**
   * One stretch of the customers that a sentence means, by name.
   *
   * @param after the id of the last customer of the stretch before; 0 for the first
   */
  @GetMapping
  CustomerPage customers(
      @AuthenticationPrincipal SignedIn me,
      @RequestParam(defaultValue = "") String sentence,
      @RequestParam(defaultValue = "0") long after,
      @RequestParam(defaultValue = "50") int limit) {
    return place.page(CustomerPlace.read(sentence), after, bounded(limit), me.id());
  }

  /** A customer's page, but for their story. */
  @GetMapping("/{id}")
  CustomerPageView customer(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return pages.of(new CustomerId(id), me.id());
  }

  /**
   * One stretch of all that was said with a customer, over every line I see and every number while
   * it was theirs.
   *
   * @param before the id of the entry before which it ends; 0 for up to now
   * @param to the id of an entry down to which it goes, and a little further; 0 for as many as the
   *     limit says
   */
  @GetMapping("/{id}/story")
  StoryPage story(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestParam(defaultValue = "0") long before,
      @RequestParam(defaultValue = "0") long to,
      @RequestParam(defaultValue = "50") int limit) {
    return story.page(new CustomerId(id), before, to, bounded(limit), me.id());
  }

  /** Customers who may be this one too, with the most reasons first. */
  @GetMapping("/{id}/twins")
  List<Twin> twins(@PathVariable long id) {
    return twins.of(new CustomerId(id));
  }

  private static int bounded(int limit) {
    return Math.max(1, Math.min(limit, LONGEST_PAGE));
  }
}
