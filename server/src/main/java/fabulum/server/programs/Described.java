package fabulum.server.programs;

import static java.util.stream.Collectors.toMap;

import fabulum.server.customers.CustomerFile;
import fabulum.server.customers.CustomerFile.Contact;
import fabulum.server.customers.CustomerList;
import fabulum.server.customers.CustomerLists;
import fabulum.server.customers.DetailKind;
import fabulum.server.customers.DetailKinds;
import fabulum.server.customers.HeldNumber;
import fabulum.server.lines.Lines;
import fabulum.server.lines.SiteView;
import fabulum.server.programs.OutsideCustomers.OutsideCustomer;
import fabulum.server.programs.OutsideCustomers.OutsideNumber;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Component;

/** Customers in the words that other programs read: names in place of our ids. */
@Component
class Described {
  private final DetailKinds kinds;
  private final CustomerLists lists;
  private final Lines lines;

  Described(DetailKinds kinds, CustomerLists lists, Lines lines) {
    this.kinds = kinds;
    this.lists = lists;
    this.lines = lines;
  }

  OutsideCustomer of(CustomerFile file, List<HeldNumber> numbers) {
    Map<Long, String> names =
        kinds.list().stream().collect(toMap(DetailKind::id, DetailKind::name));
    Map<String, String> details = new LinkedHashMap<>();
    file.details().forEach(one -> details.put(names.getOrDefault(one.kindId(), ""), one.words()));
    return new OutsideCustomer(
        file.outsideId() == null ? "" : file.outsideId(),
        file.name(),
        file.kind(),
        file.email(),
        lines.listSites().stream()
            .filter(site -> Objects.equals(site.id(), file.siteId()))
            .map(SiteView::name)
            .findFirst()
            .orElse(null),
        file.contacts().stream().map(Contact::name).toList(),
        numbers.stream()
            .map(one -> new OutsideNumber(one.address(), one.kind(), one.word()))
            .toList(),
        details,
        lists.list().stream()
            .filter(list -> file.lists().contains(list.id()))
            .map(CustomerList::name)
            .toList());
  }
}
