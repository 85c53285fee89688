package fabulum.server.figures.store;

import fabulum.server.figures.CostKind;
import java.math.BigDecimal;
import java.time.LocalDate;

/** What texts cost on a day; without a currency where no price held. */
public record CostRow(
    long lineId,
    LocalDate onDay,
    long staffId,
    CostKind kind,
    String currency,
    long texts,
    long parts,
    BigDecimal cost) {}
