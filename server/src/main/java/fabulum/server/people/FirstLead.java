package fabulum.server.people;

import fabulum.core.access.Role;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import java.security.SecureRandom;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/**
 * The very first start makes one lead, and says the password once, on the console and nowhere else.
 */
@Component
class FirstLead {
  private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";
  private static final int GROUPS = 4;
  private static final int LETTERS_A_GROUP = 4;

  private final People people;
  private final Teams teams;
  private final PeopleSetUp setUp;
  private final Environment environment;

  FirstLead(People people, Teams teams, PeopleSetUp setUp, Environment environment) {
    this.people = people;
    this.teams = teams;
    this.setUp = setUp;
    this.environment = environment;
  }

  @EventListener(ApplicationReadyEvent.class)
  @Order(0)
  void makeWhenThereIsNobody() {
    if (!people.isEmpty()) {
      return;
    }
    String password = oneTimePassword(new SecureRandom());
    StaffId lead = people.add(new NewStaff("lead", "Team lead", "TL", Role.LEAD, password, true));
    setUp.letSeeAllLines(lead);
    teams.list().forEach(team -> teams.join(new TeamId(team.id()), lead));
    System.out.printf(
        "%nThis is the first start. Sign in at port %s as%n    name      lead%n    password  %s%n"
            + "and choose your own password then. This one is not shown again.%n%n",
        environment.getProperty("local.server.port"), password);
  }

  private static String oneTimePassword(SecureRandom random) {
    StringBuilder password = new StringBuilder();
    for (int i = 0; i < GROUPS * LETTERS_A_GROUP; i++) {
      if (i > 0 && i % LETTERS_A_GROUP == 0) {
        password.append('-');
      }
      password.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
    }
    return password.toString();
  }
}
