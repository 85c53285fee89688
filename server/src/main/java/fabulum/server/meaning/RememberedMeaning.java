package fabulum.server.meaning;

import fabulum.core.meaning.Meaning;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;

/** Remembers where words lie that were looked up lately: the model takes 5 ms for each. */
public final class RememberedMeaning implements Meaning {
  private static final int MOST = 8_000;

  private final Meaning model;
  private final Map<String, float[]> known =
      new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, float[]> eldest) {
          return size() > MOST;
        }
      };

  /** Begins with nothing known. */
  public RememberedMeaning(Meaning model) {
    this.model = model;
  }

  @Override
  public float[] of(String words) {
    synchronized (known) {
      float[] there = known.get(words);
      if (there != null) {
        return there;
      }
    }
    float[] found = model.of(words);
    synchronized (known) {
      known.put(words, found);
    }
    return found;
  }

  /** Whether all of these were looked up lately. */
  public boolean knows(Collection<String> words) {
    synchronized (known) {
      return known.keySet().containsAll(words);
    }
  }

  /** Forgets all words but these. */
  public void forgetAllBut(Collection<String> fixed) {
    synchronized (known) {
      known.keySet().retainAll(Set.copyOf(fixed));
    }
  }
}
