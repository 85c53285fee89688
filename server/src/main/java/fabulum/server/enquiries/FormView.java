package fabulum.server.enquiries;

import fabulum.core.enquiry.FormPurpose;
import java.util.List;

/**
 * A form on the web site.
 *
 * @param address the last part of the address of its page
 * @param name for the staff
 * @param business as customers know it
 * @param heading at the top of the page
 * @param intro below it; may be empty
 * @param wording what somebody agrees to
 * @param colour of the business: a number sign and six hexadecimal digits
 * @param confirms whether a number must be confirmed by a code that is texted to it
 * @param lines from which one chooses where there are several, in their order
 */
public record FormView(
    long id,
    String address,
    String name,
    String business,
    String heading,
    String intro,
    String wording,
    String colour,
    FormPurpose asks,
    boolean confirms,
    boolean inUse,
    List<Long> lines,
    long version) {
  public FormView {
    lines = List.copyOf(lines);
  }
}
