package fabulum.server.figures.store;

import java.time.LocalDate;

/** What happened on a day by hours, each as {@link fabulum.core.report.ByHour} keeps it. */
public record HoursRow(
    long lineId,
    LocalDate onDay,
    byte[] received,
    byte[] byHand,
    byte[] automatic,
    byte[] waiting,
    byte[] begun) {}
