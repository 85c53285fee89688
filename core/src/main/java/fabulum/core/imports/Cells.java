package fabulum.core.imports;

import fabulum.core.imports.Target.What;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.NumberReader.Typed;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.text.MailAddress;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The values of a row by what they are about, and what is wrong with them. */
public final class Cells {
  private static final NumberReader NUMBERS = new NumberReader();

  private final Map<What, String> values = new EnumMap<>(What.class);
  private final List<String> bad = new ArrayList<>();

  /** The first that is filled in counts. Columns beyond the cells are empty. */
  Cells(List<Target> targets, List<String> cells) {
    for (int i = 0; i < targets.size() && i < cells.size(); i++) {
      String cell = bare(cells.get(i));
      if (!cell.isEmpty()) {
        values.putIfAbsent(targets.get(i).what(), cell);
      }
    }
  }

  /** Without the apostrophe that keeps a spreadsheet from taking a value for a formula. */
  public static String bare(String cell) {
    String stripped = cell.strip();
    boolean guarded =
        stripped.length() > 1
            && stripped.charAt(0) == '\''
            && "=+-@".indexOf(stripped.charAt(1)) >= 0;
    return guarded ? stripped.substring(1) : stripped;
  }

  /** The beginning of a long value. */
  static String beginning(String cell) {
    return cell.length() <= 40 ? cell : cell.substring(0, 39) + "…";
  }

  Optional<String> find(What what) {
    return Optional.ofNullable(values.get(what));
  }

  String get(What what) {
    return values.getOrDefault(what, "");
  }

  void refuse(String why) {
    bad.add(why);
  }

  /** All that is wrong. */
  List<String> problems() {
    return List.copyOf(bad);
  }

  /** A time; none when it is empty or cannot be read. */
  Optional<Instant> time(What what, String name, ZoneId zone, Region region) {
    Optional<Instant> read = find(what).flatMap(cell -> WrittenTime.read(cell, zone, region));
    if (read.isEmpty() && find(what).isPresent()) {
      refuse(name + ": “" + beginning(get(what)) + "” is not a time, such as 2026-06-09 14:05.");
    }
    return read;
  }

  /** Whom the row is about. */
  CustomerRef customer(Region region) {
    Optional<String> mail = find(What.EMAIL);
    if (mail.filter(MailAddress::is).isEmpty() && mail.isPresent()) {
      refuse("E-mail: “" + beginning(mail.get()) + "” is not a valid address.");
    }
    CustomerRef ref = new CustomerRef(find(What.CUSTOMER_ID), number(region), mail, get(What.NAME));
    if (ref.isEmpty()) {
      refuse("For which customer? A name, number, e-mail or id of the customer is needed.");
    }
    return ref;
  }

  private Optional<PhoneNumber> number(Region region) {
    Optional<Typed> read = find(What.NUMBER).map(cell -> NUMBERS.readTyped(cell, region));
    if (read.isPresent() && read.get() instanceof Typed.Impossible impossible) {
      refuse("Number “" + beginning(get(What.NUMBER)) + "”: " + impossible.why());
    }
    return read.filter(Typed.Understood.class::isInstance)
        .map(one -> ((Typed.Understood) one).number());
  }
}
