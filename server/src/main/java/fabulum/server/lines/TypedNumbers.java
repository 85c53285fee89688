package fabulum.server.lines;

import fabulum.core.phone.NumberReader;
import fabulum.core.phone.NumberReader.Typed;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.phone.Sender;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Customers' numbers as people of the business type and read them, whatever the line. */
@Component
public class TypedNumbers {
  private final Lines lines;
  private final NumberReader numbers = new NumberReader();

  TypedNumbers(Lines lines) {
    this.lines = lines;
  }

  /** The country in whose habits numbers are typed: that of the first line in use. */
  public Region region() {
    return lines.list().stream()
        .filter(LineView::inUse)
        .findFirst()
        .map(line -> new Region(line.region()))
        .orElse(new Region("US"));
  }

  /** Reads a number; one of our own lines cannot be a customer's. */
  public Typed read(String typed) {
    Typed read = numbers.readTyped(typed, region());
    return read instanceof Typed.Understood understood
        ? ours(understood.number())
            .<Typed>map(line -> new Typed.Impossible("This is our own line " + line.name() + "."))
            .orElse(read)
        : read;
  }

  private Optional<LineView> ours(PhoneNumber number) {
    return lines.list().stream().filter(line -> line.number().equals(number.e164())).findFirst();
  }

  /** A number as people at home write it. */
  public String local(String address) {
    return numbers.forPeople(Sender.ofAddress(address), region());
  }

  /** A number as people abroad write it. */
  public String international(String address) {
    return numbers.international(Sender.ofAddress(address));
  }
}
