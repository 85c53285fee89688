package fabulum.server.attachments;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.util.unit.DataSize;

/**
 * What goes with texts.
 *
 * @param largest file that is taken, from people and from the network
 * @param linkedFor how long the network can fetch what goes with a text of ours
 * @param triedFor how long it is tried to fetch what came, before a person has to ask again
 */
@ConfigurationProperties("fabulum.attachments")
public record AttachmentSettings(
    @DefaultValue("25MB") DataSize largest,
    @DefaultValue("3d") Duration linkedFor,
    @DefaultValue("1d") Duration triedFor) {}
