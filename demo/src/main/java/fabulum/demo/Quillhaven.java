package fabulum.demo;

import fabulum.core.assignment.Way;
import fabulum.core.hours.Hours;
import fabulum.core.hours.WeekReader;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.promise.Promise;
import fabulum.demo.Situation.Line;
import fabulum.server.lines.NewLine;
import fabulum.server.people.Mark;
import fabulum.server.topics.TopicColour;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What there is at Quillhaven: sites, lines, staff, and the stuff customers are made of. All of it
 * is invented.
 */
final class Quillhaven {
  static final ZoneId ZONE = ZoneId.of("America/Chicago");
  static final String PASSWORD = "quillhaven demo";
  private static final String NORTH_DOCK = "North Dock";
  private static final String SANDPIPER_YARD = "Sandpiper Yard";

  private static final String HARBOUR = "Harbour office";
  private static final String YARD = "Yard";
  private static final String ACCOUNTS = "Accounts";

  /** Who is in which team, by position. */
  static final List<TeamOf> TEAMS =
      List.of(
          new TeamOf(HARBOUR, List.of(0, 1, 2, 7)),
          new TeamOf(YARD, List.of(0, 3, 5, 6)),
          new TeamOf(ACCOUNTS, List.of(0, 2, 4)));

  static final List<TopicOf> TOPICS =
      List.of(
          new TopicOf(HARBOUR, "berths", TopicColour.PINE, null),
          new TopicOf(HARBOUR, "visitors", TopicColour.LAKE, 30),
          new TopicOf(HARBOUR, "weather", TopicColour.PLUM, 20),
          new TopicOf(HARBOUR, "repairs", TopicColour.CLAY, null),
          new TopicOf(YARD, "lift and launch", TopicColour.SLATE, null),
          new TopicOf(YARD, "repairs", TopicColour.CLAY, null),
          new TopicOf(YARD, "visitors", TopicColour.LAKE, null),
          new TopicOf(ACCOUNTS, "storage", TopicColour.UMBER, 480),
          new TopicOf(ACCOUNTS, "accounts", TopicColour.MOSS, null));

  static final List<LineOf> LINES =
      List.of(
          new LineOf(
              Line.DOCK,
              NORTH_DOCK,
              HARBOUR,
              "Dock office",
              "+19205550101",
              "Mon-Sun 7:00-19:00",
              60,
              Way.NOBODY),
          new LineOf(
              Line.YARD,
              SANDPIPER_YARD,
              YARD,
              "Yard and lift",
              "+19205550102",
              "Mon-Fri 7:30-16:30, Sat 8:00-12:00",
              120,
              Way.LEAST_WAITING),
          new LineOf(
              Line.STORAGE,
              SANDPIPER_YARD,
              ACCOUNTS,
              "Storage and accounts",
              "+19205550103",
              "Mon-Fri 9:00-12:00, Mon-Fri 13:00-17:00",
              240,
              Way.LAST_OWNER));

  static final List<StaffOf> STAFF =
      List.of(
          new StaffOf("maren", "Maren Oduya", "MO", true, new Mark(Mark.Shape.SAIL, Mark.Ink.PINE)),
          new StaffOf(
              "tobias", "Tobias Renner", "TR", false, new Mark(Mark.Shape.KEY, Mark.Ink.SLATE)),
          new StaffOf(
              "priya", "Priya Nandakumar", "PN", false, new Mark(Mark.Shape.LEAF, Mark.Ink.PLUM)),
          new StaffOf(
              "eli", "Eli Castellanos", "EC", false, new Mark(Mark.Shape.WAVE, Mark.Ink.TEAL)),
          new StaffOf("wen", "Wen Zhao", "WZ", false, new Mark(Mark.Shape.STAR, Mark.Ink.OCHRE)),
          new StaffOf(
              "hattie", "Hattie Brook", "HB", false, new Mark(Mark.Shape.BELL, Mark.Ink.WINE)),
          new StaffOf(
              "samir", "Samir Haddad", "SH", false, new Mark(Mark.Shape.KNOT, Mark.Ink.RUST)),
          new StaffOf(
              "noor", "Noor Lindqvist", "NL", false, new Mark(Mark.Shape.DROP, Mark.Ink.MOSS)));

  /**
   * Area codes in Central and Eastern time; with the reserved block 555-0100 to 555-0199 they make
   * the customers' numbers.
   */
  static final List<String> AREAS =
      List.of("312", "414", "608", "906", "231", "616", "734", "847", "715", "262");

  static final List<String> FIRST_NAMES =
      List.of(
          "Adaeze",
          "Bram",
          "Celeste",
          "Dmitri",
          "Edda",
          "Farid",
          "Greta",
          "Hugo",
          "Ines",
          "Jonas",
          "Kalinda",
          "Leif",
          "Mirela",
          "Nils",
          "Ottilie",
          "Pavel",
          "Quentin",
          "Rosa",
          "Soren",
          "Tamsin",
          "Ulrich",
          "Vera",
          "Wilhelmina",
          "Xenia",
          "Yusuf",
          "Zelda",
          "Anneke",
          "Bastian",
          "Corin",
          "Delphine",
          "Emeka",
          "Fiora",
          "Gideon",
          "Hanneke",
          "Ivo",
          "Jolanda",
          "Kasper",
          "Liesl",
          "Marek",
          "Nadira");

  static final List<String> LAST_NAMES =
      List.of(
          "Abernacht",
          "Brightwater",
          "Calloway-Finch",
          "Dunmore",
          "Eskelin",
          "Farrowby",
          "Grünwald",
          "Hartigan",
          "Ibsenholt",
          "Jankauskas",
          "Kettering",
          "Lindgrenn",
          "Mossop",
          "Nakagura",
          "Ollerton",
          "Pennyfeather",
          "Quist",
          "Rademaker",
          "Saltmarsh",
          "Thackeray-Ames",
          "Underhall",
          "Vasquillo",
          "Wetherby",
          "Yarrow",
          "Zielinska",
          "Osei-Bonsra",
          "Marchetti",
          "Okonjo",
          "Petrakis",
          "Lund");

  static final List<String> FIRMS =
      List.of(
          "Lakeside Marine Survey",
          "Cormorant Sails",
          "Two Oars Rowing Club",
          "Kestrel Charter",
          "Heddle & Sons Rigging",
          "Inland Pilots");

  static final List<String> BOATS =
      List.of(
          "Grey Wagtail",
          "Second Wind",
          "Marigold",
          "Tern",
          "Lady Ottoline",
          "Pemberley",
          "Driftwood",
          "Small Hours",
          "Kittiwake",
          "Nutmeg",
          "Blue Gate",
          "Swallowtail",
          "Old Ferry",
          "Thursday",
          "Juniper",
          "Halcyon Days",
          "Bittern",
          "Mayfly",
          "Sonata",
          "Quiet Riot",
          "Pelican",
          "Lantern",
          "Snipe",
          "Wanderbird",
          "Plover",
          "Hazelnut",
          "Firefly",
          "Arabesque",
          "Moonraker",
          "Tansy");

  static final List<String> JOBS =
      List.of(
          "new standing rigging",
          "engine mounts",
          "teak deck repair",
          "keel bolts",
          "galley refit",
          "rudder bearing",
          "gelcoat repair");

  static final List<String> TECHNICIANS = List.of("Samir", "Eli", "Hattie", "Wen");

  private Quillhaven() {}

  record LineOf(
      Line line,
      String site,
      String team,
      String name,
      String number,
      String hours,
      int promiseMinutes,
      Way way) {

    NewLine line(ZoneId zone) {
      Hours open = new Hours(zone, WeekReader.read(hours), Set.of());
      Promise promise = new Promise(Duration.ofMinutes(promiseMinutes));
      return new NewLine(
          site, team, name, new PhoneNumber(number), new Region("US"), open, promise);
    }
  }

  record TeamOf(String name, List<Integer> members) {}

  record TopicOf(String team, String name, TopicColour colour, @Nullable Integer promiseMinutes) {}

  record StaffOf(String signInName, String name, String initials, boolean lead, Mark mark) {}

  /** A time of the office's clocks. */
  static Instant at(LocalDate day, LocalTime time) {
    return day.atTime(time).atZone(ZONE).toInstant();
  }

  /** Persons of the firms among the customers. */
  static final List<String> CONTACTS =
      List.of(
          "Odile Kestrel",
          "Ray Tamm",
          "Jun Barrow",
          "Pilar Ostrom",
          "Gus Whitlock",
          "Ines Farrow",
          "Tobin Lark",
          "Moira Sand",
          "Abel Quist",
          "Della Roan");

  /** What colleagues noted about customers. */
  static final List<String> CUSTOMER_NOTES =
      List.of(
          "Keeps the spare key with the harbour office. Ask for it by boat name.",
          "Hard of hearing: texts, never calls.",
          "Pays for two years at once, always in October.",
          "The trailer in row 9 is theirs, number plate ends in 417.",
          "Daughter Ida may decide about repairs up to 500 dollars.",
          "Does not want the mast left on the deck in winter.",
          "Allergic to cats; no kennel side for the cover, please.",
          "Teaches on Tuesdays and answers after four.",
          "Had water in the bilge twice in 2025, seacock on port side.",
          "Wants the same lift team as last year.",
          "Invoice to the firm, name of the boat as reference.",
          "On the list for a longer berth since spring.");
}
