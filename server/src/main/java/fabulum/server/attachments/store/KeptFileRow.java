package fabulum.server.attachments.store;

import fabulum.server.attachments.KeptFile;
import fabulum.server.attachments.KeptFile.FileOfJob;
import java.time.Instant;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A row of kept_file. */
public record KeptFileRow(
    long id,
    @Nullable Long customerId,
    @Nullable Long jobId,
    @Nullable String jobName,
    String title,
    String name,
    String mediaType,
    long octets,
    String hash,
    @Nullable String preview,
    @Nullable Integer width,
    @Nullable Integer height,
    boolean retired,
    long putBy,
    Instant putAt,
    long version) {

  /** The same, with the lines from which it is offered. */
  public KeptFile file(Set<Long> lines) {
    return new KeptFile(
        id,
        customerId,
        jobId == null || jobName == null ? null : new FileOfJob(jobId, jobName),
        title,
        name,
        mediaType,
        octets,
        hash,
        preview,
        width,
        height,
        retired,
        putBy,
        putAt,
        version,
        lines);
  }
}
