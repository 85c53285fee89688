package fabulum.server.clientele.web;

import fabulum.server.clientele.CustomerTwins;
import fabulum.server.clientele.CustomerTwins.TwinPair;
import fabulum.server.customers.CustomerFiles;
import fabulum.server.customers.CustomerList;
import fabulum.server.customers.CustomerLists;
import fabulum.server.customers.DetailKind;
import fabulum.server.customers.DetailKinds;
import fabulum.server.lines.Lines;
import fabulum.server.lines.SiteView;
import fabulum.server.numbers.NumberChecks;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is said of all customers together. */
@RestController
@RequestMapping("/api/customers")
class CustomerTermsController {
  private final CustomerFiles files;
  private final CustomerLists lists;
  private final DetailKinds kinds;
  private final CustomerTwins twins;
  private final Lines lines;
  private final NumberChecks checks;

  CustomerTermsController(
      CustomerFiles files,
      CustomerLists lists,
      DetailKinds kinds,
      CustomerTwins twins,
      Lines lines,
      NumberChecks checks) {
    this.files = files;
    this.lists = lists;
    this.kinds = kinds;
    this.twins = twins;
    this.lines = lines;
    this.checks = checks;
  }

  /**
   * What customers can be told apart by.
   *
   * @param canCheckNumbers whether an outside service can be asked about numbers
   */
  record CustomerTerms(
      List<SiteView> sites,
      List<String> kinds,
      List<CustomerList> lists,
      List<DetailKind> details,
      boolean canCheckNumbers) {}

  /** Sites, kinds of customer, lists and extra fields. */
  @GetMapping("/terms")
  CustomerTerms terms() {
    return new CustomerTerms(
        lines.listSites(), files.listKinds(), lists.list(), kinds.list(), checks.isThere());
  }

  /** Pairs of customers who may be one, at most 100, by name. */
  @GetMapping("/twins")
  List<TwinPair> pairs() {
    return twins.listPairs();
  }
}
