package fabulum.server.meaning;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * Whether the sentence model is used, where it is shipped.
 *
 * @param used it takes 150 to 200 MB of memory
 */
@ConfigurationProperties("fabulum.meaning")
record MeaningSettings(@DefaultValue("true") boolean used) {}
