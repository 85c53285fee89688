package fabulum.demo;

import fabulum.demo.DemoData.Customer;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.Locale;

/** Fills the blanks of one telling. */
record Blanks(Customer who, LocalDate day) {

  String fill(String words) {
    return words
        .replace("{first}", who.first())
        .replace("{boat}", String.valueOf(who.boat()))
        .replace("{length}", who.length())
        .replace("{berth}", who.berth())
        .replace("{pier}", "pier " + who.berth().charAt(0))
        .replace("{day2}", dayName(day.plusDays(3 + who.berth().charAt(1) % 3)))
        .replace("{dayofmonth}", ordinal(day.plusDays(9).getDayOfMonth()))
        .replace("{day}", dayName(day.plusDays(2)))
        .replace(
            "{tech}",
            Quillhaven.TECHNICIANS.get(who.length().charAt(1) % Quillhaven.TECHNICIANS.size()))
        .replace("{job}", who.job() == null ? "rigging" : who.job())
        .replace("{invoice}", "Q-" + (4000 + Math.abs(who.name().hashCode()) % 900))
        .replace("{amount}", "$" + (120 + Math.abs(who.name().hashCode()) % 90 * 10));
  }

  private static String dayName(LocalDate day) {
    return day.getDayOfWeek().getDisplayName(TextStyle.FULL, Locale.US);
  }

  private static String ordinal(int day) {
    String ending =
        day % 10 == 1 && day != 11
            ? "st"
            : day % 10 == 2 && day != 12 ? "nd" : day % 10 == 3 && day != 13 ? "rd" : "th";
    return day + ending;
  }
}
