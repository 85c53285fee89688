package fabulum.demo;

import fabulum.core.access.Role;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.people.NewStaff;
import fabulum.server.people.People;
import fabulum.server.people.Teams;
import fabulum.server.topics.TopicSetup;
import fabulum.server.topics.Topics;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import org.springframework.jdbc.core.JdbcTemplate;

/** The boatyard itself: its people, teams, lines, topics, prices and what customers agreed to. */
final class Business {
  private final People people;
  private final Teams teams;
  private final Lines lines;
  private final Topics topics;
  private final JdbcTemplate tables;

  Business(People people, Teams teams, Lines lines, Topics topics, JdbcTemplate tables) {
    this.people = people;
    this.teams = teams;
    this.lines = lines;
    this.topics = topics;
    this.tables = tables;
  }

  /** Who works there, on which lines and about what. */
  void insert() {
    for (Quillhaven.StaffOf staff : Quillhaven.STAFF) {
      Role role = staff.lead() ? Role.LEAD : Role.STAFF;
      people.add(
          new NewStaff(
              staff.signInName(),
              staff.name(),
              staff.initials(),
              role,
              Quillhaven.PASSWORD,
              false));
      tables.update(
          "update staff set email = ?, zone = ?, shape = ?, ink = ? where sign_in_name = ?",
          staff.signInName() + "@quillhaven.example",
          Quillhaven.ZONE.getId(),
          staff.mark().shape().name(),
          staff.mark().ink().name(),
          staff.signInName());
    }
    tables.update(
        "insert into staff_permission (staff_id, permission) select id, 'SEE_ALL_LINES' from staff where role = 'LEAD'");
    tables.update("delete from escalation_step");
    tables.update("delete from team");
    for (Quillhaven.TeamOf team : Quillhaven.TEAMS) {
      TeamId id = teams.named(team.name());
      team.members().forEach(member -> teams.join(id, new StaffId(member + 1L)));
    }
    tables.update(
        "insert into escalation_step (team_id, after_minutes, told) select id, 0, 'LEADS' from team");
    tables.update(
        "insert into escalation_step (team_id, after_minutes, told) select id, -15, 'TEAM' from team");
    for (Quillhaven.LineOf line : Quillhaven.LINES) {
      LineId id = lines.add(line.line(Quillhaven.ZONE));
      tables.update(
          "update line set holiday_country = 'US', way = ? where id = ?",
          line.way().name(),
          id.value());
    }
    for (Quillhaven.TopicOf topic : Quillhaven.TOPICS) {
      topics.add(
          teams.named(topic.team()),
          new TopicSetup(topic.name(), topic.colour(), topic.promiseMinutes(), false));
    }
  }

  /** Everybody has read all but what came within the last forty minutes. */
  private void insertRead(Instant now) {
    tables.update(
        "insert into seen (staff_id, conversation_id, at)"
            + " select s.id, c.id, c.last_at from staff s cross join conversation c"
            + " where c.box in ('OUR_TURN', 'THEIR_TURN', 'SET_ASIDE') and c.last_at < ?",
        now.minus(Duration.ofMinutes(40)).toString());
  }

  /** Hattie is away for three days, and Samir covers; Wen is given no more than six. */
  private void insertAbsence(Instant now) {
    LocalDate today = now.atZone(Quillhaven.ZONE).toLocalDate();
    tables.update(
        "insert into absence (staff_id, first_day, last_day, cover_id)"
            + " select h.id, ?, ?, s.id from staff h, staff s where h.sign_in_name = 'hattie' and s.sign_in_name = 'samir'",
        today,
        today.plusDays(2));
    tables.update("update staff set work_limit = 6 where sign_in_name = 'wen'");
    tables.update(
        "update staff set last_answer_at ="
            + " (select max(e.at) from entry e where e.speaker_id = staff.id and e.kind = 'OUT')");
  }

  /**
   * How the business is called, and who agreed to its news: every third number, by the berth form.
   */
  private void insertAgreements() {
    tables.update(
        "update send_settings set business = 'Quillhaven Boatyard',"
            + " contact = 'call the dock office at (920) 555-0101.'");
    tables.update(
        "insert into agreement_change (number_id, noted_at, given, service, news, ground, words)"
            + " select id, first_wrote_at, true, true, true, 'FORM', 'berth form' from number"
            + " where first_wrote_at is not null and mod(id, 3) = 0");
  }

  /** What texts have cost since the season before last, what was bought ahead, and an allowance. */
  private void insertCosts(LocalDate today) {
    tables.update(
        "insert into price (kind, from_day, amount) values ('PART', ?, 0.0079), ('PART', ?, 0.0083), ('TEXT_IN', ?, 0.0025)",
        today.minusYears(2),
        today.withDayOfYear(1),
        today.minusYears(2));
    tables.update(
        "update entry set currency = 'USD', cost = case when kind = 'IN' then 0.0025"
            + " when cast(at as date) < ? then 0.0079 * parts else 0.0083 * parts end"
            + " where kind in ('IN', 'OUT')",
        today.withDayOfYear(1));
    tables.update(
        "insert into parts_sent (on_day, line_id, team_id, staff_id, texts, parts)"
            + " select cast(e.at as date), c.line_id, l.team_id, coalesce(e.speaker_id, 0), count(*), sum(e.parts)"
            + " from entry e join conversation c on c.id = e.conversation_id join line l on l.id = c.line_id"
            + " where e.kind = 'OUT' group by cast(e.at as date), c.line_id, l.team_id, coalesce(e.speaker_id, 0)");
    tables.update(
        "insert into parts_bought (on_day, parts, price, currency, remark, staff_id) values (?, 2500, 19.75, 'USD', 'for the spring', 2)",
        today.minusDays(70));
    tables.update("insert into allowance (span, parts) values ('MONTH', 1500)");
    tables.update(
        "insert into price_plan (name, currency, fee, included, over_price)"
            + " values ('Flat 1,000', 'USD', 7.50, 1000, 0.011), ('Large 3,000', 'USD', 18, 3000, 0.009)");
  }

  /**
   * What belongs to conversations that are there: agreements, prices, an absence, what was read.
   */
  void insertAround(Instant now) {
    insertAgreements();
    insertCosts(now.atZone(Quillhaven.ZONE).toLocalDate());
    insertAbsence(now);
    insertRead(now);
  }
}
