package fabulum.core.phone;

import java.util.regex.Pattern;

/**
 * A country or territory in whose habits a number without a country code is read.
 *
 * @param code two capital letters of ISO 3166-1, for example {@code US}
 */
public record Region(String code) {
  private static final Pattern FORM = Pattern.compile("[A-Z]{2}");

  public Region {
    if (!FORM.matcher(code).matches()) {
      throw new IllegalArgumentException("A region is two capital letters, not “" + code + "”");
    }
  }
}
