package fabulum.core.imports;

import fabulum.core.imports.Target.What;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What the rows of a file are about. */
public enum Subject {
  CUSTOMERS(
      titles(
          What.NAME,
          "name fullname customer customername client kunde nombre nom nome displayname company firm organisation organization firma"),
      titles(What.FIRST_NAME, "firstname givenname forename vorname prenom nombredepila"),
      titles(
          What.LAST_NAME,
          "lastname surname familyname nachname apellido apellidos nomdefamille cognome"),
      titles(What.NUMBER, Words.NUMBER + " number"),
      titles(What.EMAIL, Words.EMAIL),
      titles(What.SITE, "site location branch standort sede"),
      titles(What.KIND, "kind type category customertype kategorie group"),
      titles(
          What.OUTSIDE_ID,
          "id outsideid customerid customernumber externalid accountnumber kundennummer reference uid"),
      titles(What.LANGUAGE, "language lang sprache idioma langue lingua taal jezyk"),
      titles(What.CONTACT, "contact contactperson contactname ansprechpartner"),
      titles(What.NOTE, "note notes remark remarks comment comments bemerkung notiz notas")),

  APPOINTMENTS(
      titles(What.OUTSIDE_ID, "id uid outsideid appointmentid externalid"),
      titles(What.WHAT, "what appointment title summary subject service termin cita"),
      titles(What.STARTS, "starts start startsat starttime from begin begins date beginn inicio"),
      titles(What.ENDS, "ends end endsat endtime until to ende fin"),
      titles(What.PLACE, Words.PLACE),
      titles(What.STATE, "state status"),
      titles(What.NAME, Words.CUSTOMER),
      titles(What.CUSTOMER_ID, Words.CUSTOMER_ID),
      titles(What.NUMBER, Words.NUMBER + " number"),
      titles(What.EMAIL, Words.EMAIL)),

  JOBS(
      titles(What.OUTSIDE_ID, "id uid outsideid jobid externalid"),
      titles(What.JOB_NUMBER, "number jobnumber job jobno ordernumber order workorder auftrag"),
      titles(What.WHAT, "what title work description summary subject task arbeit"),
      titles(What.STANDING, "howfar standing progress stage stand"),
      titles(What.STATE, "state status"),
      titles(What.PLACE, Words.PLACE),
      titles(What.OPENED, "opened openedat begun created createdat since start date"),
      titles(What.CLOSED, "closed closedat finished finishedat completed"),
      titles(What.NAME, Words.CUSTOMER),
      titles(What.CUSTOMER_ID, Words.CUSTOMER_ID),
      titles(What.NUMBER, Words.NUMBER),
      titles(What.EMAIL, Words.EMAIL)),

  /** Texts of the time before. */
  TEXTS(
      titles(What.LINE, "line ourline ournumber inbox linia"),
      titles(What.NUMBER, Words.NUMBER + " number customernumber contact participant"),
      titles(What.AT, "at time when date datetime timestamp sentat receivedat zeit fecha"),
      titles(What.DIRECTION, "direction inout type richtung"),
      titles(What.WORDS, "words text body message content nachricht mensaje"),
      titles(What.AUTHOR, "by bywhom author writer sender staff user agent sentby"),
      titles(What.OUTSIDE_ID, "id textid messageid externalid uid"));

  /** What columns of several subjects are called. */
  private static final class Words {
    static final String NUMBER =
        "phone phonenumber telephone telefon telefono tel mobile mobilephone cell cellphone handy movil portable homephone workphone businessphone phone1 phone2 phone3 primaryphone otherphone";
    static final String EMAIL = "email mail emailaddress correo courriel emailaddress1";
    static final String PLACE = "place location site where ort lugar";
    static final String CUSTOMER = "customer customername name client kunde cliente contact";
    static final String CUSTOMER_ID =
        "customeroutsideid customerid clientid accountnumber kundennummer customernumber";
  }

  private final Map<String, What> titles;

  /** Titles without case, accents and spaces. */
  private record Titles(What what, List<String> words) {}

  private static Titles titles(What what, String words) {
    return new Titles(what, List.of(words.split(" ")));
  }

  Subject(Titles... titles) {
    this.titles =
        Arrays.stream(titles)
            .flatMap(one -> one.words().stream().map(word -> Map.entry(word, one.what())))
            .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue, (first, b) -> first));
  }

  /** What a column with this title is about; the title without case, accents and spaces. */
  Optional<What> byTitle(String plain) {
    return Optional.ofNullable(titles.get(plain));
  }

  /** What columns of such a file can be about. */
  public Set<What> columns() {
    Set<What> columns = titles.values().stream().collect(Collectors.toSet());
    columns.add(What.NOTHING);
    if (this == CUSTOMERS) {
      columns.add(What.DETAIL);
    }
    return columns;
  }

  /**
   * What a file with these titles is about: the one that knows most of them; customers when nothing
   * else does so better.
   *
   * @param titles without case, accents and spaces
   */
  public static Subject guess(List<String> titles) {
    Subject best = CUSTOMERS;
    long most = CUSTOMERS.known(titles);
    for (Subject one : List.of(TEXTS, JOBS, APPOINTMENTS)) {
      long known = one.known(titles);
      if (known > most && one.isTold(titles)) {
        best = one;
        most = known;
      }
    }
    return best;
  }

  private long known(List<String> titles) {
    return titles.stream().flatMap(title -> byTitle(title).stream()).distinct().count();
  }

  /** Whether what its rows cannot do without is among the titles. */
  private boolean isTold(List<String> titles) {
    Set<What> told =
        titles.stream().flatMap(title -> byTitle(title).stream()).collect(Collectors.toSet());
    return switch (this) {
      case CUSTOMERS -> true;
      case APPOINTMENTS -> told.contains(What.WHAT) && told.contains(What.STARTS);
      case JOBS -> told.contains(What.WHAT);
      case TEXTS -> told.contains(What.WORDS) && told.contains(What.AT);
    };
  }
}
