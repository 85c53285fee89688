package fabulum.server.ops;

import jakarta.validation.constraints.AssertTrue;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.validation.annotation.Validated;

/**
 * Operation.
 *
 * @param key that opens metrics, full health and backup; without one they are shut
 */
@Validated
@ConfigurationProperties("fabulum.ops")
public record OpsSettings(@DefaultValue("") String key) {
  private static final int SHORTEST = 16;

  @AssertTrue(message = "fabulum.ops.key needs at least 16 characters")
  boolean isLongEnough() {
    return key.isEmpty() || key.length() >= SHORTEST;
  }

  @Override
  public String toString() {
    return "OpsSettings[]";
  }
}
