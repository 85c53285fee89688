package fabulum.core.agreement;

import fabulum.core.text.Language;

/**
 * What Fabulum answers to keywords, in the language of the keyword. START and STOP hold in every
 * language.
 */
public final class KeywordReplies {
  private KeywordReplies() {}

  /** They get no more texts. */
  public static String stopped(Language language, String business) {
    return business
        + switch (language) {
          case EN -> ": you will get no more texts from us. Text START to get them again.";
          case ES -> ": no recibirá más mensajes nuestros. Escriba START para recibirlos de nuevo.";
          case FR ->
              " : vous ne recevrez plus de messages de nous. Répondez START pour en recevoir à nouveau.";
          case DE ->
              ": Sie erhalten keine Nachrichten mehr von uns. Mit START erhalten Sie sie wieder.";
          case PT ->
              ": você não receberá mais mensagens nossas. Envie START para voltar a recebê-las.";
          case IT -> ": non riceverà più messaggi da noi. Scriva START per riceverli di nuovo.";
          case NL -> ": u krijgt geen berichten meer van ons. Stuur START om ze weer te krijgen.";
          case PL ->
              ": nie będziemy wysyłać więcej wiadomości. Wyślij START, aby je znowu otrzymywać.";
        };
  }

  /** They get texts again. */
  public static String started(Language language, String business) {
    return business
        + switch (language) {
          case EN -> ": you will get our texts again. Text STOP at any time to end them.";
          case ES ->
              ": volverá a recibir nuestros mensajes. Escriba STOP para dejar de recibirlos.";
          case FR ->
              " : vous recevrez de nouveau nos messages. Répondez STOP pour ne plus en recevoir.";
          case DE ->
              ": Sie erhalten unsere Nachrichten wieder. Mit STOP beenden Sie das jederzeit.";
          case PT -> ": você voltará a receber nossas mensagens. Envie STOP para parar.";
          case IT -> ": riceverà di nuovo i nostri messaggi. Scriva STOP per non riceverli più.";
          case NL -> ": u krijgt onze berichten weer. Stuur STOP om te stoppen.";
          case PL -> ": znowu będziemy wysyłać wiadomości. Wyślij STOP, aby zrezygnować.";
        };
  }

  /**
   * How to reach the business.
   *
   * @param contact a sentence of the business's own; empty to name the phone number
   */
  public static String help(Language language, String business, String contact, String phone) {
    String reach =
        contact.isEmpty()
            ? switch (language) {
              case EN -> "you can also call us at " + phone + ".";
              case ES -> "también puede llamarnos al " + phone + ".";
              case FR -> "vous pouvez aussi nous appeler au " + phone + ".";
              case DE -> "Sie können uns auch anrufen: " + phone + ".";
              case PT -> "você também pode ligar para " + phone + ".";
              case IT -> "può anche chiamarci al " + phone + ".";
              case NL -> "u kunt ons ook bellen op " + phone + ".";
              case PL -> "można też do nas zadzwonić: " + phone + ".";
            }
            : contact;
    return business
        + (language == Language.FR ? " : " : ": ")
        + reach
        + " "
        + switch (language) {
          case EN -> "Text STOP to end texts.";
          case ES -> "Escriba STOP para no recibir más mensajes.";
          case FR -> "Répondez STOP pour ne plus recevoir de messages.";
          case DE -> "Mit STOP erhalten Sie keine Nachrichten mehr.";
          case PT -> "Envie STOP para não receber mais mensagens.";
          case IT -> "Scriva STOP per non ricevere più messaggi.";
          case NL -> "Stuur STOP om geen berichten meer te krijgen.";
          case PL -> "Wyślij STOP, aby nie otrzymywać wiadomości.";
        };
  }
}
