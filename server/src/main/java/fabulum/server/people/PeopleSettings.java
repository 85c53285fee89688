package fabulum.server.people;

import jakarta.validation.constraints.AssertTrue;
import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.validation.annotation.Validated;

/**
 * What holds for people who have not chosen for themselves.
 *
 * @param pause how long their texts wait before they leave, 0 to 20 seconds
 */
@Validated
@ConfigurationProperties("fabulum.people")
public record PeopleSettings(@DefaultValue("3s") Duration pause) {

  @AssertTrue(message = "fabulum.people.pause is 0 to 20 seconds")
  boolean isAllowed() {
    return !pause.isNegative() && pause.compareTo(People.LONGEST_PAUSE) <= 0;
  }
}
