package fabulum.server.messaging;

import fabulum.core.agreement.Keyword;
import fabulum.core.agreement.KeywordReplies;
import fabulum.core.agreement.Keywords;
import fabulum.core.conversation.Participants;
import fabulum.core.sending.Author.Purpose;
import fabulum.core.text.Language;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.ReceivedText;
import fabulum.server.conversations.Said;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.sending.Agreements;
import fabulum.server.sending.Agreements.Noted;
import fabulum.server.sending.Decisions;
import fabulum.server.sending.SendSettings;
import fabulum.server.sending.SendSetup;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Does what a customer asks for with a keyword. To be used in the transaction that takes the text
 * in, so that nothing goes out after it.
 */
@Component
@Order(1)
class KeywordAnswers implements ArrivalStep {
  private final Agreements agreements;
  private final Decisions decisions;
  private final SendSetup setup;
  private final Customers customers;
  private final HeldBack heldBack;
  private final Messaging messaging;
  private final Bookkeeping books;
  private final Lines lines;
  private final Conversations conversations;

  KeywordAnswers(
      Agreements agreements,
      Decisions decisions,
      SendSetup setup,
      Customers customers,
      HeldBack heldBack,
      Messaging messaging,
      Bookkeeping books,
      Lines lines,
      Conversations conversations) {
    this.conversations = conversations;
    this.agreements = agreements;
    this.decisions = decisions;
    this.setup = setup;
    this.customers = customers;
    this.heldBack = heldBack;
    this.messaging = messaging;
    this.books = books;
    this.lines = lines;
  }

  /**
   * What a text asks for.
   *
   * @param language of the keyword
   * @param hadOptedOut whether its number had opted out before
   */
  record Asked(Keyword keyword, Language language, boolean hadOptedOut) {
    /** Whether nobody waits for a person's answer to it. */
    boolean isSettled() {
      return keyword == Keyword.STOP || changesBack();
    }

    private boolean changesBack() {
      return keyword == Keyword.START && hadOptedOut;
    }
  }

  @Override
  public Optional<Doing> read(ReceivedText text) {
    return keyword(text)
        .map(asked ->
            new Doing() {
              @Override
              public boolean isSettled() {
                return asked.isSettled();
              }

              @Override
              public List<Long> act(ConversationId id) {
                return KeywordAnswers.this.act(asked, id, text);
              }
            });
  }

  /** The keyword that a text is. */
  private Optional<Asked> keyword(ReceivedText text) {
    if (text.from().answerable().isEmpty()) {
      return Optional.empty();
    }
    return Keywords.read(text.words(), setup.get().languages())
        .map(keyword -> {
          agreements.hold(customers.numberOf(text.from()));
          Language language = Keywords.languageOf(text.words(), setup.get().languages());
          return new Asked(keyword, language, decisions.hasOptedOut(text.from(), text.line()));
        });
  }

  /**
   * Does it, and says so to the customer.
   *
   * @return the entries that this wrote into the script
   */
  private List<Long> act(Asked asked, ConversationId heardIn, ReceivedText text) {
    if (!text.participants().isGroup()) {
      return actIn(asked, heardIn, text);
    }
    // Said in a group, it is about that number alone, and so is the answer.
    ConversationId own = conversations.open(text.line(), Participants.of(text.from()));
    books.changed(own.value(), actIn(asked, own, text));
    return List.of();
  }

  private List<Long> actIn(Asked asked, ConversationId id, ReceivedText text) {
    NumberId number = customers.numberOf(text.from());
    SendSettings settings = setup.get();
    LineId scope = settings.stopEverywhere() ? null : text.line();
    LineView line = lines.get(text.line());
    String business = settings.business().isBlank() ? line.site() : settings.business();
    return switch (asked.keyword()) {
      case STOP -> stop(asked, id, number, scope, text.words(), business);
      case START ->
          asked.hadOptedOut() ? start(asked, id, number, text.words(), business) : List.of();
      case HELP -> {
        say(
            id,
            Purpose.HELP,
            KeywordReplies.help(asked.language(), business, contact(settings), line.shownNumber()));
        yield List.of();
      }
    };
  }

  private List<Long> stop(
      Asked asked,
      ConversationId id,
      NumberId number,
      @Nullable LineId scope,
      String words,
      String business) {
    agreements.note(number, Noted.byKeyword(false, words), scope, null);
    heldBack.from(number, scope);
    if (asked.hadOptedOut()) {
      return List.of();
    }
    long event = books.event(books.row(id), EventKind.OPTED_OUT, null, null);
    say(id, Purpose.STOP_CONFIRMED, KeywordReplies.stopped(asked.language(), business));
    return List.of(event);
  }

  /** Takes back every opt-out, wherever it was sent to. */
  private List<Long> start(
      Asked asked, ConversationId id, NumberId number, String words, String business) {
    agreements.note(number, Noted.byKeyword(true, words), null, null);
    long event = books.event(books.row(id), EventKind.OPTED_IN, null, null);
    say(id, Purpose.START_CONFIRMED, KeywordReplies.started(asked.language(), business));
    return List.of(event);
  }

  private static String contact(SendSettings settings) {
    String said = settings.contact().strip();
    return said.isEmpty() || said.matches(".*[.!?]") ? said : said + ".";
  }

  private void say(ConversationId id, Purpose purpose, String words) {
    messaging.send(Recipient.in(id), Said.itself(purpose, words));
  }
}
