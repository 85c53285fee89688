package fabulum.demo;

import fabulum.server.attachments.KeptFiles;
import fabulum.server.attachments.Papers;
import fabulum.server.enquiries.Forms;
import fabulum.server.lines.Lines;
import fabulum.server.messaging.Arrivals;
import fabulum.server.ownership.BroughtIn;
import fabulum.server.ownership.Ownership;
import fabulum.server.people.People;
import fabulum.server.people.Teams;
import fabulum.server.platform.DataSettings;
import fabulum.server.schedule.PlanList;
import fabulum.server.schedule.Plans;
import fabulum.server.templates.Links;
import fabulum.server.templates.TemplateFiles;
import fabulum.server.topics.Topics;
import fabulum.server.writing.Notes;
import fabulum.server.writing.SecondLooks;
import java.time.Clock;
import javax.sql.DataSource;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Import;
import org.springframework.context.annotation.Primary;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/** Fills an empty data folder with Quillhaven before anybody can come in. */
@Configuration(proxyBeanMethods = false)
@EnableConfigurationProperties(DemoSettings.class)
@Import(DemoClock.class)
class DemoConfiguration {

  /** What only a demonstration has is open to the person who plays with it. */
  @Bean
  @Order(0)
  SecurityFilterChain demonstrationOnly(HttpSecurity http) {
    return http.securityMatcher("/demo/**")
        .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
        .csrf(csrf -> csrf.disable())
        .build();
  }

  /** Their password is printed for everyone: to hash it slowly protects nobody. */
  @Bean
  @Primary
  PasswordEncoder quickHashes() {
    return new BCryptPasswordEncoder(4);
  }

  @Bean
  SmartInitializingSingleton quillhaven(
      People people,
      Teams teams,
      Lines lines,
      Topics topics,
      Ownership owning,
      Notes notes,
      SecondLooks looks,
      BroughtIn brought,
      Links links,
      TemplateFiles templates,
      KeptFiles kept,
      Papers papers,
      Plans plans,
      PlanList planList,
      Arrivals arrivals,
      Forms forms,
      DataSource database,
      TransactionTemplate transactions,
      JsonMapper json,
      DataSettings settings,
      DemoSettings size,
      Clock clock) {
    Loader loader =
        new Loader(
            people,
            new Business(people, teams, lines, topics, new JdbcTemplate(database)),
            new JdbcTemplate(database),
            transactions,
            json,
            settings.data(),
            size);
    ThisMorning morning =
        new ThisMorning(owning, notes, looks, brought, new JdbcTemplate(database));
    DemoTemplates book = new DemoTemplates(links, templates, new JdbcTemplate(database));
    DemoFiles files = new DemoFiles(kept, papers, new JdbcTemplate(database));
    DemoPlans planned = new DemoPlans(plans, planList, new JdbcTemplate(database));
    DemoArrivals texts = new DemoArrivals(arrivals, new JdbcTemplate(database));
    DemoForms web = new DemoForms(forms, lines);
    return () -> {
      if (loader.loadInto(clock.instant())) {
        book.write();
        files.write();
        morning.happen(clock.instant());
        planned.write(clock.instant());
        texts.write(clock.instant());
        web.write();
      }
    };
  }
}
