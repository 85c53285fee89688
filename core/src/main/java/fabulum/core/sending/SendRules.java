package fabulum.core.sending;

import fabulum.core.agreement.Agreement.Answer;
import fabulum.core.agreement.TextKind;
import fabulum.core.parts.PartCounter;
import fabulum.core.sending.SendQuestion.Allowance;
import fabulum.core.sending.SendQuestion.Attachment;
import fabulum.core.sending.SendQuestion.Content;
import fabulum.core.sending.SendQuestion.From;
import fabulum.core.sending.SendQuestion.Lately;
import fabulum.core.sending.SendQuestion.NumberState;
import fabulum.core.sending.SendQuestion.To;
import fabulum.core.template.Placeholder;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/** The one decision before anything goes. */
public final class SendRules {
  /** From which share of an allowance on it is said that it will soon be used up. */
  private static final double NEARLY = 0.9;

  private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);
  private static final Pattern WEB_ADDRESS =
      Pattern.compile(
          "\\bhttps?://\\S|\\bwww\\.\\S|\\b[\\p{L}\\p{N}-]+\\.(?:com|org|net|info|biz|io|me|ly|co|us)\\b",
          Pattern.CASE_INSENSITIVE);

  private final SendQuestion asked;
  private final SendPolicy policy;
  private final int parts;
  private final List<Objection> objections = new ArrayList<>();

  private SendRules(SendQuestion asked, SendPolicy policy) {
    this.asked = asked;
    this.policy = policy;
    this.parts = parts(asked.content());
  }

  /**
   * Parts that a text takes: those of its words; a text with attachments and without words takes
   * one, so that it counts against allowances.
   */
  public static int parts(Content content) {
    int words = PartCounter.count(content.leaving()).count();
    return content.attachments().isEmpty() ? words : Math.max(1, words);
  }

  /** Decides about one text. All reasons are found, however weighty the first of them is. */
  public static SendDecision decide(SendQuestion asked, SendPolicy policy) {
    SendRules rules = new SendRules(asked, policy);
    rules.content();
    rules.from();
    rules.to();
    rules.lately();
    rules.objections.sort(Comparator.comparing(Objection::reason));
    return new SendDecision(rules.parts, rules.objections);
  }

  /**
   * What speaks against an act as a whole that sends the same words to several.
   *
   * @param parts of all texts together
   * @param allowances those all of them are counted in
   */
  public static List<Objection> ofAct(
      int recipients, int parts, List<Allowance> allowances, SendPolicy policy) {
    List<Objection> against = new ArrayList<>();
    add(
        against,
        policy,
        recipients >= policy.manyRecipients(),
        Reason.MANY_RECIPIENTS,
        "This goes to " + recipients + " customers.");
    allowances.forEach(each -> allowance(against, policy, each, parts));
    against.sort(Comparator.comparing(Objection::reason));
    return against;
  }

  private static void add(
      List<Objection> to, SendPolicy policy, boolean applies, Reason reason, String sentence) {
    Severity severity = policy.of(reason);
    if (applies && severity != Severity.IGNORE) {
      to.add(new Objection(reason, severity, sentence));
    }
  }

  private void when(boolean applies, Reason reason, String sentence) {
    add(objections, policy, applies, reason, sentence);
  }

  private void content() {
    Content content = asked.content();
    when(
        content.typed().isBlank() && content.attachments().isEmpty(),
        Reason.EMPTY,
        "Write something first.");
    Placeholder.firstGap(content.typed())
        .ifPresent(gap -> when(true, Reason.PLACEHOLDER, "Fill in or remove “" + gap + "” first."));
    int most = asked.from().mostParts();
    when(
        parts > most,
        Reason.TOO_MANY_PARTS,
        "This takes " + said(parts) + "; this line sends " + most + " at most. Shorten it.");
    when(
        !asked.to().everWrote() && WEB_ADDRESS.matcher(content.typed()).find(),
        Reason.WEB_ADDRESS,
        "It contains a web address, and this number has never written to us.");
  }

  private void from() {
    From from = asked.from();
    when(!from.inUse(), Reason.LINE_OFF, "This line is switched off, so nothing can be sent.");
    when(
        !from.registered(),
        Reason.LINE_NOT_REGISTERED,
        "This line is not registered with the phone networks yet, so nothing can be sent.");
    when(
        from.networkWaits(),
        Reason.NETWORK_WAITING,
        "The phone network is not answering. The text will go as soon as it does.");
    for (Attachment each : asked.content().attachments()) {
      when(
          !from.carries().contains(each.kind()),
          Reason.ATTACHMENT_KIND,
          from.carries().isEmpty()
              ? "This line sends no attachments, so “" + each.name() + "” cannot go."
              : "This line does not send files such as “" + each.name() + "”.");
      when(
          each.octets() > from.mostOctets(),
          Reason.ATTACHMENT_TOO_LARGE,
          "“"
              + each.name()
              + "” has "
              + size(each.octets())
              + "; this line sends "
              + size(from.mostOctets())
              + " at most.");
    }
  }

  private void to() {
    To to = asked.to();
    when(
        to.sender().answerable().isEmpty(),
        Reason.CANNOT_BE_ANSWERED,
        "This sender is a name or short code, not a phone number, so it cannot be answered.");
    to.country()
        .filter(country -> !asked.from().reaches().isEmpty())
        .filter(country -> !asked.from().reaches().contains(country))
        .ifPresent(country -> {
          String name = new Locale("", country.code()).getDisplayCountry(Locale.ENGLISH);
          when(true, Reason.COUNTRY_NOT_REACHED, "This line does not send texts to " + name + ".");
        });
    number(to.state());
    agreement(to);
    LocalTime there = asked.at().atZone(to.zone()).toLocalTime();
    when(
        !to.answering() && policy.isNight(there),
        Reason.NIGHT,
        "It is " + CLOCK.format(there) + " where the customer is.");
    when(!to.answering() && to.dayOff(), Reason.DAY_OFF, "It is a day off where the customer is.");
  }

  private void number(NumberState state) {
    when(
        state == NumberState.MARKED_WRONG,
        Reason.MARKED_WRONG,
        "This number is marked as wrong: it belongs to someone else.");
    when(
        state == NumberState.CANNOT_RECEIVE,
        Reason.CANNOT_RECEIVE,
        "This number cannot receive texts.");
    when(
        state == NumberState.NO_SUCH_NUMBER,
        Reason.NO_SUCH_NUMBER,
        "The phone network says that this number does not exist.");
  }

  private void agreement(To to) {
    TextKind kind = asked.content().kind();
    Answer answer = to.agreement().of(kind).answer();
    when(
        answer == Answer.OPTED_OUT && !asked.author().isOwedToOptedOut(),
        Reason.OPTED_OUT,
        switch (kind) {
          case SERVICE ->
              "The customer has opted out of texts. Call or mail them, or ask them to text START.";
          case NEWS -> "The customer has opted out of news and offers.";
        });
    boolean notSaid = answer == Answer.NOT_SAID;
    when(
        notSaid && kind == TextKind.NEWS,
        Reason.NO_AGREEMENT_TO_NEWS,
        "The customer has not agreed to news and offers.");
    when(
        notSaid && kind == TextKind.SERVICE && !to.answering(),
        Reason.NO_AGREEMENT,
        "It is not noted that the customer agrees to texts.");
  }

  private void lately() {
    Lately lately = asked.lately();
    lately
        .sameText()
        .filter(sent -> sent.at().plus(policy.sameTextWithin()).isAfter(asked.at()))
        .ifPresent(sent ->
            when(
                true,
                Reason.SAME_TEXT,
                sent.by() + " sent the same text to this number " + ago(sent.at()) + "."));
    lately
        .answered()
        .ifPresent(sent ->
            when(true, Reason.ANSWERED_MEANWHILE, sent.by() + " answered while you were writing."));
    lately.allowances().forEach(each -> allowance(objections, policy, each, parts));
    when(
        lately.recipients() >= policy.manyRecipients(),
        Reason.MANY_RECIPIENTS,
        "This goes to " + lately.recipients() + " customers.");
  }

  private static void allowance(List<Objection> to, SendPolicy policy, Allowance each, int parts) {
    boolean over = parts > each.left();
    String left = each.left() == 0 ? "no parts" : said(each.left());
    add(
        to,
        policy,
        over,
        Reason.OVER_ALLOWANCE,
        String.format(
            "%s has %s left %s, and this takes %s. A lead can allow more.",
            each.whose(), left, each.span(), said(parts)));
    add(
        to,
        policy,
        !over && each.used() + parts > each.limit() * NEARLY,
        Reason.ALLOWANCE_NEARLY_USED,
        each.whose() + " has " + left + " left " + each.span() + ".");
  }

  private String ago(Instant then) {
    long minutes = Duration.between(then, asked.at()).toMinutes();
    if (minutes < 1) {
      return "a moment ago";
    }
    return minutes == 1 ? "a minute ago" : minutes + " minutes ago";
  }

  /** In the decimal units of IEC 80000-13: 1 kB is 1,000 octets. */
  private static String size(long octets) {
    return octets < 1_000_000
        ? (octets + 999) / 1_000 + " kB"
        : String.format(Locale.ROOT, "%.1f MB", Math.ceil(octets / 100_000.0) / 10);
  }

  private static String said(int parts) {
    return parts == 1 ? "1 part" : parts + " parts";
  }
}
