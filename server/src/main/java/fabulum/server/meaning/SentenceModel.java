package fabulum.server.meaning;

import fabulum.core.meaning.Meaning;
import java.util.Optional;
import java.util.ServiceConfigurationError;
import java.util.ServiceLoader;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** The one sentence model of this process. */
@Component
public class SentenceModel {
  private static final Logger log = LoggerFactory.getLogger(SentenceModel.class);

  private final boolean used;
  private boolean looked;
  private @Nullable Meaning model;

  SentenceModel(MeaningSettings settings) {
    this.used = settings.used();
  }

  /** The model; empty where it is not shipped, not used, or does not run on this machine. */
  public synchronized Optional<Meaning> find() {
    if (used && !looked) {
      looked = true;
      try {
        model = ServiceLoader.load(Meaning.class).findFirst().orElse(null);
      } catch (LinkageError | ServiceConfigurationError broken) {
        log.warn("The sentence model does not run here; letters and words decide alone", broken);
      }
    }
    return Optional.ofNullable(model);
  }
}
