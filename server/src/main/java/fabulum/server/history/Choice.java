package fabulum.server.history;

import fabulum.core.search.WordQuery;
import fabulum.server.clientele.Theirs;
import java.util.Optional;
import org.apache.lucene.search.Query;

/**
 * What a sentence means for someone, now.
 *
 * @param facts all that it asks for besides words, with what they see
 * @param words that it mentions; none when it asks for a meaning
 * @param meant words whose meaning is looked for
 * @param customer whose entries are meant; what the index cannot tell of it is looked at afterwards
 */
record Choice(Query facts, WordQuery words, Optional<String> meant, Optional<Theirs> customer) {}
