package fabulum.server.cost.store;

import java.math.BigDecimal;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A row of parts_bought. */
public record BoughtRow(
    LocalDate onDay,
    int parts,
    BigDecimal price,
    String currency,
    String remark,
    @Nullable Long staffId) {}
