package fabulum.core.imports;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.customer.DetailType;
import fabulum.core.imports.RowReader.Customer;
import fabulum.core.imports.RowReader.DetailOf;
import fabulum.core.imports.RowReader.Refused;
import fabulum.core.imports.RowReader.Terms;
import fabulum.core.imports.Target.What;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class RowReaderTest {
  private static final PhoneNumber ONE = new PhoneNumber("+19205550134");
  private static final PhoneNumber TWO = new PhoneNumber("+19205550135");

  private final RowReader reader =
      new RowReader(
          new Terms(
              Map.of("north dock", 1L),
              Map.of(3L, new DetailOf("Length", DetailType.NUMBER, List.of())),
              Set.of(new PhoneNumber("+19205550101")),
              new Region("US")));

  private final List<String> titles =
      List.of("First", "Last", "Mobile", "Home", "Mail", "Site", "Length", "Note");
  private final List<Target> targets =
      List.of(
          Target.of(What.FIRST_NAME),
          Target.of(What.LAST_NAME),
          Target.of(What.NUMBER),
          Target.of(What.NUMBER),
          Target.of(What.EMAIL),
          Target.of(What.SITE),
          Target.detail(3),
          Target.of(What.NOTE));

  private RowReader.Row read(String... cells) {
    return reader.read(titles, targets, List.of(cells));
  }

  @Test
  void aWholeRowIsACustomer() {
    Customer ada =
        (Customer)
            read(
                "Ada",
                "Marsh",
                "(920) 555-0134",
                "920 555 0135; 920-555-0134",
                "a@x.example",
                "North Dock",
                "27,50",
                "keeps the key");
    assertThat(ada.name()).isEqualTo("Ada Marsh");
    assertThat(ada.numbers()).containsExactly(Map.entry(ONE, "mobile"), Map.entry(TWO, "home"));
    assertThat(ada.email()).contains("a@x.example");
    assertThat(ada.site()).contains(1L);
    assertThat(ada.details()).containsExactly(Map.entry(3L, "27.5"));
    assertThat(ada.notes()).containsExactly("keeps the key");
  }

  @Test
  void allThatIsWrongIsSaidAtOnce() {
    Refused refused =
        (Refused) read("Ada", "Marsh", "12", "+1 920 555 0101", "a@", "South Dock", "long");
    assertThat(refused.why()).hasSize(5);
    assertThat(refused.why().toString())
        .contains("“12”", "one of our own lines", "E-mail", "no site “South Dock”", "not a number");
  }

  @Test
  void aLanguageIsReadByItsCodeOrItsName() {
    List<Target> asked = List.of(Target.of(What.NAME), Target.of(What.LANGUAGE));
    for (String words : List.of("es", "ES", " Spanish ")) {
      Customer ada = (Customer) reader.read(List.of(), asked, List.of("Ada", words));
      assertThat(ada.language()).contains("es");
    }
    assertThat(((Customer) reader.read(List.of(), asked, List.of("Ada", ""))).language()).isEmpty();
    Refused refused = (Refused) reader.read(List.of(), asked, List.of("Ada", "tlh"));
    assertThat(refused.why().toString()).contains("“tlh” is none that Fabulum knows");
  }

  @Test
  void aShortRowIsReadAsFarAsItGoes() {
    assertThat(((Customer) read("Ada")).name()).isEqualTo("Ada");
  }

  @Test
  void aRowWithoutNameAndNumberIsNobody() {
    assertThat(read("", "", "", "", "a@x.example"))
        .isEqualTo(new Refused(List.of("Neither a name nor a number.")));
    assertThat(((Customer) read("", "", "920 555 0134")).numbers()).containsOnlyKeys(ONE);
  }
}
