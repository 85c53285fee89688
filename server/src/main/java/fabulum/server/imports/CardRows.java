package fabulum.server.imports;

import ezvcard.VCard;
import ezvcard.io.text.VCardReader;
import ezvcard.property.Note;
import ezvcard.property.Organization;
import ezvcard.property.StructuredName;
import ezvcard.property.Telephone;
import fabulum.core.text.Language;
import fabulum.server.imports.Sheet.Row;
import fabulum.server.platform.Problem;
import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The cards of a file of vCards (RFC 2426, RFC 6350), laid out in columns. */
final class CardRows {
  /** The names of the columns that vCards are laid out in. */
  static final List<String> COLUMNS =
      List.of(
          "Name",
          "E-mail",
          "Mobile",
          "Home phone",
          "Work phone",
          "Phone",
          "Note",
          "UID",
          "Language");

  private CardRows() {}

  /** The columns' names and a row for each card. Its line is which card it is. */
  static List<Row> read(String text) {
    List<Row> rows = new ArrayList<>();
    long line = 1;
    try (VCardReader reader = new VCardReader(new StringReader(text))) {
      rows.add(new Row(1, COLUMNS));
      VCard card = reader.readNext();
      while (card != null) {
        Sheet.add(rows, new Row(line, cells(card)));
        line++;
        card = reader.readNext();
      }
    } catch (IOException | RuntimeException broken) {
      if (broken instanceof Problem problem) {
        throw problem;
      }
      throw Sheet.bad("The vCards cannot be read from card " + line + " on. Nothing was imported.");
    }
    if (rows.size() == 1) {
      throw Sheet.bad("There are no vCards in the file.");
    }
    return rows;
  }

  private static List<String> cells(VCard card) {
    return List.of(
        name(card),
        card.getEmails().stream().findFirst().map(mail -> mail.getValue()).orElse(""),
        numbers(card, "cell"),
        numbers(card, "home"),
        numbers(card, "work"),
        numbers(card, ""),
        card.getNotes().stream().map(Note::getValue).collect(Collectors.joining("\n")),
        card.getUid() == null ? "" : String.valueOf(card.getUid().getValue()),
        card.getLanguages().stream()
            .map(one -> one.getValue().replaceFirst("-.*", ""))
            .filter(code -> Language.find(code).isPresent())
            .findFirst()
            .orElse(""));
  }

  private static String name(VCard card) {
    String formatted =
        card.getFormattedName() == null ? "" : flat(card.getFormattedName().getValue());
    StructuredName parts = card.getStructuredName();
    String built =
        parts == null
            ? ""
            : Stream.of(parts.getGiven(), parts.getFamily())
                .filter(part -> part != null && !part.isBlank())
                .collect(Collectors.joining(" "));
    return Stream.of(formatted, flat(built), firm(card))
        .filter(name -> !name.isBlank())
        .findFirst()
        .orElse("");
  }

  private static String firm(VCard card) {
    Organization firm = card.getOrganization();
    return firm == null || firm.getValues().isEmpty() ? "" : flat(firm.getValues().get(0));
  }

  private static String flat(@Nullable String words) {
    return Optional.ofNullable(words).orElse("").replaceAll("\\s+", " ").strip();
  }

  private static String numbers(VCard card, String type) {
    return card.getTelephoneNumbers().stream()
        .filter(number -> type(number).equals(type))
        .map(number -> number.getText() == null ? number.getUri().getNumber() : number.getText())
        .collect(Collectors.joining("; "));
  }

  private static String type(Telephone number) {
    return number.getTypes().stream()
        .map(type -> type.getValue().toLowerCase(Locale.ROOT))
        .filter(List.of("cell", "home", "work")::contains)
        .findFirst()
        .orElse("");
  }
}
