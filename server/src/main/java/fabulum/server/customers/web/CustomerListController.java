package fabulum.server.customers.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.CustomerList;
import fabulum.server.customers.CustomerLists;
import fabulum.server.customers.web.CustomerFileController.CustomerName;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Lists on which customers are kept together. */
@RestController
@RequestMapping("/api/customer-lists")
class CustomerListController {
  private static final int MOST = 1_000;

  private final CustomerLists lists;

  CustomerListController(CustomerLists lists) {
    this.lists = lists;
  }

  /**
   * Customers to put on a list, or to take off it.
   *
   * @param on whether they are put on it
   */
  record ListMembers(
      @NotNull @Size(max = MOST, message = "At most 1,000 at once.") List<Long> customers,
      boolean on) {}

  /** Of how many it changed something. */
  record ListChanged(int changed) {}

  /** Makes a list. */
  @PostMapping
  CustomerList add(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody CustomerName list) {
    return lists.add(list.name(), me.id());
  }

  /** Gives a list another name. */
  @PutMapping("/{id}")
  void rename(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody CustomerName list) {
    lists.rename(id, list.name(), me.id());
  }

  /** Removes a list; its customers stay. */
  @DeleteMapping("/{id}")
  void remove(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    lists.remove(id, me.id());
  }

  /** Puts customers on a list, or takes them off it. */
  @PostMapping("/{id}/customers")
  ListChanged set(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody ListMembers members) {
    List<CustomerId> customers = members.customers().stream().map(CustomerId::new).toList();
    return new ListChanged(lists.set(id, customers, members.on(), me.id()));
  }
}
