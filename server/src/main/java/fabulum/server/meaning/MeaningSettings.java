package fabulum.server.meaning;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * Whether the sentence model is used, where it is shipped.
 *
 * @param used it takes about 150 MB of memory
 */
@ConfigurationProperties("fabulum.meaning")
record MeaningSettings(@DefaultValue("true") boolean used) {}
