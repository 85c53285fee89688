package fabulum.core.identify;

import fabulum.core.reading.CommonWords;
import fabulum.core.reading.Nicknames;
import fabulum.core.reading.PersonName;
import fabulum.core.reading.Stems;
import fabulum.core.reading.Word;
import fabulum.core.reading.Wording;
import fabulum.core.text.Tokens;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * What gives a customer away in a text, as terms of an index: {@code n:} a name, {@code f:} a row
 * of nicknames, {@code d:} a detail, {@code r:} a reference, {@code m:} a mail address, {@code p:}
 * a number, {@code a:} an area, {@code t:} what was spoken of.
 */
final class ClueTerms {
  private ClueTerms() {}

  static Set<String> of(Profile profile) {
    Set<String> terms = new HashSet<>();
    names(List.of(profile.name()), terms);
    names(profile.contacts(), terms);
    for (Profile.Detail detail : profile.details()) {
      List<String> tokens = Tokens.of(detail.value());
      terms.add("d:" + String.join("", tokens));
      for (int i = 0; i < tokens.size(); i++) {
        addDetail(tokens.get(i), terms);
        if (i + 1 < tokens.size()) {
          addDetail(tokens.get(i) + tokens.get(i + 1), terms);
        }
      }
    }
    for (String note : profile.notes()) {
      for (Word word : Wording.words(note)) {
        if (word.capital() && word.plain().length() > 2 && !CommonWords.contains(word.plain())) {
          terms.add("n:" + word.plain());
          Nicknames.rows(word.plain()).forEach(row -> terms.add("f:" + row));
        }
      }
      String digits = note.replaceAll("(?<=\\d)[\\s().\\-/]+(?=\\d)", "");
      for (String run : digits.split("\\D+")) {
        if (run.length() >= 10) {
          terms.add("p:+1" + run.substring(run.length() - 10));
          terms.add("p:+" + run);
        }
      }
    }
    for (Profile.Held held : profile.numbers()) {
      terms.add("p:" + held.number().e164());
      terms.add("a:" + NumberClues.area(held.number()));
    }
    profile.email().ifPresent(mail -> terms.add("m:" + mail.toLowerCase(Locale.ROOT)));
    FileClues.references(profile).forEach(reference -> terms.add("r:" + reference));
    matters(profile).forEach(stem -> terms.add("t:" + stem));
    return terms;
  }

  private static void addDetail(String token, Set<String> terms) {
    if (token.length() >= 3 && !CommonWords.contains(token)) {
      terms.add("d:" + token);
    }
  }

  private static void names(Collection<String> names, Set<String> terms) {
    for (String name : names) {
      for (String part : PersonName.of(name).parts()) {
        terms.add("n:" + part);
        Nicknames.rows(part).forEach(row -> terms.add("f:" + row));
      }
    }
  }

  private static Set<String> matters(Profile profile) {
    Set<String> stems = new HashSet<>();
    profile.said().forEach(text -> stems.addAll(Stems.of(Wording.words(text.words()))));
    profile.jobs().forEach(job -> stems.addAll(Stems.of(Wording.words(job.what()))));
    profile.appointments().forEach(one -> stems.addAll(Stems.of(Wording.words(one.what()))));
    profile.notes().forEach(note -> stems.addAll(Stems.of(Wording.words(note))));
    return stems;
  }
}
