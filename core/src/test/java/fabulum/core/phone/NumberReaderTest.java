package fabulum.core.phone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class NumberReaderTest {
  private static final Region US = new Region("US");
  private final NumberReader reader = new NumberReader();

  @ParameterizedTest
  @CsvSource(
      textBlock =
          """
          (312) 555-0123      | US | +13125550123
          312.555.0123        | US | +13125550123
          1 312 555 0123      | US | +13125550123
          +1 (312) 555‑0123   | US | +13125550123
          +44 20 7946 0123    | US | +442079460123
          020 7946 0123       | GB | +442079460123
          """,
      delimiter = '|')
  void readsNumbersInTheHabitsOfTheRegion(String written, String region, String e164) {
    assertThat(reader.readNumber(written, new Region(region))).contains(new PhoneNumber(e164));
  }

  @ParameterizedTest
  @CsvSource(
      textBlock =
          """
          +1 222 555 0123     | US | +12225550123
          (222) 555-0123      | US | +12225550123
          +49 1599 5550123    | DE | +4915995550123
          +999 123 456 7890   | US | +9991234567890
          """,
      delimiter = '|')
  void whatIsBuiltLikeANumberIsOneAlsoBeforeTheTablesListIt(
      String written, String region, String e164) {
    Sender sender = reader.readSender(written, new Region(region));
    assertThat(sender).isEqualTo(new PhoneNumber(e164));
    assertThat(reader.readNumber(written, new Region(region))).contains(new PhoneNumber(e164));
  }

  @ParameterizedTest
  @CsvSource({"+1 122 555 0123, US", "(312) 155-0123, US", "78777, DE", "1234567, DE"})
  void whatIsNotBuiltLikeANumberIsNone(String written, String region) {
    assertThat(reader.readNumber(written, new Region(region))).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "78777",
        "LAKEWATCH",
        "1-800-LAKEDAY",
        "555-0123",
        "+1",
        "+1312555012345678",
        "112",
        "312 555 012"
      })
  void whatCanBeNoNumberIsKeptAsANameAndCannotBeAnswered(String written) {
    Sender sender = reader.readSender(written, US);

    assertThat(sender).isEqualTo(new NamedSender(written));
    assertThat(sender.answerable()).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "   ", "a sender that goes on far longer than any network allows"})
  void aSenderThatIsNoSenderIsRefused(String written) {
    assertThatThrownBy(() -> reader.readSender(written, US))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void aStoredAddressReadsBackAsTheSameSender() {
    for (Sender sender :
        new Sender[] {
          new PhoneNumber("+13125550123"), new NamedSender("78777"), new NamedSender("LAKEWATCH")
        }) {
      assertThat(Sender.ofAddress(sender.address())).isEqualTo(sender);
    }
  }

  @Test
  void peopleReadANumberAsTheyWriteItAtHome() {
    assertThat(reader.forPeople(new PhoneNumber("+13125550123"), US)).isEqualTo("(312) 555-0123");
    assertThat(reader.forPeople(new PhoneNumber("+442079460123"), US))
        .isEqualTo("+44 20 7946 0123");
    assertThat(reader.forPeople(new NamedSender("LAKEWATCH"), US)).isEqualTo("LAKEWATCH");
  }

  @Test
  void peopleAbroadReadANumberWithItsCountry() {
    assertThat(reader.international(new PhoneNumber("+13125550123"))).isEqualTo("+1 312-555-0123");
    assertThat(reader.international(new NamedSender("LAKEWATCH"))).isEqualTo("LAKEWATCH");
    PhoneNumber nowhere = new PhoneNumber("+2101234567");
    assertThat(reader.international(nowhere)).isEqualTo("+2101234567");
    assertThat(reader.forPeople(nowhere, US)).isEqualTo("+2101234567");
  }

  @Test
  void aLogShowsOnlyTheEndOfANumber() {
    assertThat(new PhoneNumber("+13125550123").toString()).isEqualTo("…23").doesNotContain("312");
  }

  @ParameterizedTest
  @CsvSource(
      textBlock =
          """
          (312) 555-0123 ext 5           | US | +13125550123 | 5
          312.555.0123x77                | US | +13125550123 | 77
          tel:+1-312-555-0123;ext=12     | US | +13125550123 | 12
          Tel.: 312 555 0123             | US | +13125550123 |
          0044 20 7946 0123              | US | +442079460123 |
          +44 (0)20 7946 0123            | US | +442079460123 |
          00 49 30 12345678              | DE | +493012345678 |
          312\u2009555\u202f0123       | US | +13125550123 |
          \u202a+1 312 555 0123\u202c  | US | +13125550123 |
          312\u00ad555\u00ad0123       | US | +13125550123 |
          ３１２ ５５５ ０１２３            | US | +13125550123 |
          ٣١٢ ٥٥٥ ٠١٢٣                  | US | +13125550123 |
          """,
      delimiter = '|')
  void whatPeopleTypeOrPasteIsUnderstood(
      String written, String region, String e164, String extension) {
    String typed =
        written
            .replace("\\u2009", "\u2009")
            .replace("\\u202f", "\u202f")
            .replace("\\u202a", "\u202a")
            .replace("\\u202c", "\u202c")
            .replace("\\u00ad", "\u00ad");
    assertThat(reader.readTyped(typed, new Region(region)))
        .isEqualTo(
            new NumberReader.Typed.Understood(
                new PhoneNumber(e164), java.util.Optional.ofNullable(extension)));
  }

  @ParameterizedTest
  @CsvSource({
    "312 555, digits are missing",
    "'', it has no digits",
    "312 555 0123 4567 8901 22, too many digits",
    "1-800-LAKEDAY, letters",
    "(122) 555-0123, no number begins like this"
  })
  void whatCannotBeANumberIsRefusedWithTheReason(String written, String why) {
    assertThat(reader.readTyped(written, US))
        .isInstanceOfSatisfying(
            NumberReader.Typed.Impossible.class, no -> assertThat(no.why()).contains(why));
  }
}
