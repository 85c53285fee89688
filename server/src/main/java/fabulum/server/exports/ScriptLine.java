package fabulum.server.exports;

import fabulum.core.delivery.DeliveryState;
import java.math.BigDecimal;
import java.time.OffsetDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A text, note or event as it is taken out; {@code docs/history-export.schema.json} describes it.
 *
 * @param id names it in Fabulum
 * @param time with the offset of its line's zone then
 * @param direction received or sent of a text, else note or event
 * @param line by its name
 * @param number in E.164, or the sender's name; of a text of ours to a group all of them
 * @param customer whose conversation it is now; empty for nobody we know
 * @param by who wrote or did it on our side
 * @param automatic by the program
 * @param words of a text or note; of an event what there is to say
 * @param event what happened, a word of the API
 * @param state how far a text of ours has come
 * @param reason why it was not delivered
 * @param parts that were billed
 * @param cost in {@code currency}
 * @param currency ISO 4217
 */
record ScriptLine(
    long id,
    OffsetDateTime time,
    String direction,
    String line,
    String number,
    String customer,
    String by,
    boolean automatic,
    String words,
    @Nullable String event,
    @Nullable DeliveryState state,
    @Nullable String reason,
    @Nullable Integer parts,
    @Nullable BigDecimal cost,
    @Nullable String currency,
    List<File> attachments) {
  ScriptLine {
    attachments = List.copyOf(attachments);
  }

  /**
   * What goes or came with it.
   *
   * @param file its name in the ZIP; empty where it is not in it
   * @param sha256 of its content, in hexadecimal digits; empty where it is not in it
   * @param words what a person says that it shows
   */
  record File(
      String name, String mediaType, long octets, String file, String sha256, String words) {}
}
