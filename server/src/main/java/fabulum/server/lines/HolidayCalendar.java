package fabulum.server.lines;

import jakarta.validation.constraints.NotNull;
import org.jspecify.annotations.Nullable;

/**
 * Whose public holidays a line keeps.
 *
 * @param country ISO 3166-1, two capital letters
 * @param region a part of it as ISO 3166-2 names it within the country, such as {@code WI}; null
 *     for the holidays of the whole country only
 */
public record HolidayCalendar(
    @NotNull(message = "Say in which country.") String country, @Nullable String region) {}
