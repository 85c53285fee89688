package fabulum.server.sending;

import fabulum.core.agreement.AgreementChange;
import fabulum.core.agreement.Ground;
import fabulum.core.agreement.TextKind;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * An entry of the history of what a number's holders allow.
 *
 * @param lineId the line it is about; null for the whole business
 * @param given whether they allowed it, or withdrew it
 * @param service whether it is about answers and service texts
 * @param news whether it is about news and offers
 * @param endsAt when an agreement ends by itself; null for never
 * @param staffId who noted it; null for Fabulum
 * @param words what was said; null for nothing
 */
public record NotedChange(
    long id,
    long numberId,
    @Nullable Long lineId,
    Instant notedAt,
    boolean given,
    boolean service,
    boolean news,
    Ground ground,
    @Nullable Instant endsAt,
    @Nullable Long staffId,
    @Nullable String staff,
    @Nullable String words) {

  AgreementChange change() {
    Set<TextKind> kinds = EnumSet.noneOf(TextKind.class);
    if (service) {
      kinds.add(TextKind.SERVICE);
    }
    if (news) {
      kinds.add(TextKind.NEWS);
    }
    return new AgreementChange(
        notedAt,
        given,
        kinds,
        ground,
        lineId == null ? OptionalLong.empty() : OptionalLong.of(lineId),
        Optional.ofNullable(endsAt));
  }
}
