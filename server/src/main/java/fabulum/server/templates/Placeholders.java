package fabulum.server.templates;

import fabulum.core.template.Catalog;
import fabulum.core.template.Placeholder;
import fabulum.core.template.TemplateReader;
import fabulum.core.template.Unfilled;
import fabulum.core.template.Values;
import fabulum.server.customers.DetailKind;
import fabulum.server.customers.DetailKinds;
import java.util.List;
import org.springframework.stereotype.Component;

/** Which placeholders there are now. */
@Component
public class Placeholders {
  private final DetailKinds details;
  private final Links links;

  Placeholders(DetailKinds details, Links links) {
    this.details = details;
    this.links = links;
  }

  /**
   * One that can be put in.
   *
   * @param whose what it is of, as it is written
   * @param written as it is put into a template
   */
  public record PlaceholderView(String whose, String name, String written) {}

  private Catalog catalog() {
    return new Catalog(
        details.list().stream().filter(one -> !one.retired()).map(DetailKind::name).toList(),
        links.list().stream().map(Link::name).toList());
  }

  /** All of them, grouped by what they are of. */
  public List<PlaceholderView> list() {
    return catalog().list().stream().map(Placeholders::view).toList();
  }

  private static PlaceholderView view(Placeholder one) {
    return new PlaceholderView(one.whose().word(), one.name(), one.written());
  }

  /** The stored form of a template, made of words for which these values are known. */
  String unfilled(String words, Values values) {
    return Unfilled.of(words, Unfilled.known(catalog().list(), values));
  }

  /** Reads templates by them. */
  TemplateReader reader() {
    return new TemplateReader(catalog());
  }
}
