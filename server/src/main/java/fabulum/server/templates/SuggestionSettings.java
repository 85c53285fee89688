package fabulum.server.templates;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * What suggestions take of the machine.
 *
 * @param most how many answered questions are learned from, the latest ones
 */
@ConfigurationProperties("fabulum.suggestions")
record SuggestionSettings(@DefaultValue("4000") int most) {}
