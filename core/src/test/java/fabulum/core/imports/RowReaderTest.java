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
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

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

  private RowReader.Row cell(What what, String cell) {
    return reader.read(
        List.of(), List.of(Target.of(What.NAME), Target.of(what)), List.of("Ada", cell));
  }

  @ParameterizedTest
  @CsvSource({
    "NAME, 160, Name: at most 160 characters.",
    "KIND, 40, Kind: at most 40 characters.",
    "OUTSIDE_ID, 80, Outside id: at most 80 characters.",
    "CONTACT, 160, Contact: at most 160 characters.",
    "NOTE, 4000, 'Note: at most 4,000 characters.'"
  })
  void whatIsTooLongIsRefusedAndWhatJustFitsIsKept(What what, int most, String why) {
    Customer ada = (Customer) cell(what, "w".repeat(most));
    String kept =
        switch (what) {
          case NAME -> ada.name();
          case KIND -> ada.kind().orElse("");
          case OUTSIDE_ID -> ada.outsideId().orElse("");
          case CONTACT -> ada.contacts().get(0);
          default -> ada.notes().get(0);
        };
    assertThat(kept).isEqualTo("w".repeat(most));
    assertThat(cell(what, "w".repeat(most + 1))).isEqualTo(new Refused(List.of(why)));
  }

  @Test
  void aNameStandsOnOneLineAndANoteNeedNot() {
    assertThat(cell(What.CONTACT, "Ada\u0007Marsh"))
        .isEqualTo(new Refused(List.of("Contact: one line only, without control characters.")));
    assertThat(((Customer) cell(What.NOTE, "one\ntwo")).notes()).containsExactly("one\ntwo");
  }

  @ParameterizedTest
  @CsvSource({
    "Mobile, mobile",
    "Cell phone, mobile",
    "Handy, mobile",
    "Home phone, home",
    "Telefon privat, home",
    "Work, work",
    "Business phone, work",
    "Office, work",
    "Phone, ''"
  })
  void whatKindANumberIsStandsInItsTitle(String title, String kind) {
    RowReader.Row row =
        reader.read(List.of(title), List.of(Target.of(What.NUMBER)), List.of("920 555 0134"));
    assertThat(((Customer) row).numbers()).containsExactly(Map.entry(ONE, kind));
  }

  @ParameterizedTest
  @CsvSource(
      quoteCharacter = '"',
      value = {"'=1+2, =1+2", "'-4, -4", "'@x, @x", "'tis, 'tis", "', '", "=1, =1"})
  void theApostropheBeforeAFormulaIsTheSpreadsheets(String cell, String bare) {
    assertThat(Cells.bare(cell)).isEqualTo(bare);
  }

  @Test
  void ofALongValueItsBeginningIsSaid() {
    assertThat(Cells.beginning("w".repeat(40))).isEqualTo("w".repeat(40));
    assertThat(Cells.beginning("w".repeat(41))).isEqualTo("w".repeat(39) + "…");
  }
}
