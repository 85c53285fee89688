package fabulum.demo;

import fabulum.demo.DemoData.Appointment;
import fabulum.demo.DemoData.Customer;
import fabulum.demo.DemoData.Number;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Locale;

/** Makes customers and their numbers. */
final class Customers {
  private static final int NUMBERS_AN_AREA = 100;

  private final LocalDate today;
  private final List<Customer> customers;
  private final List<Number> numbers;
  private int nextNumber;

  /**
   * Begins.
   *
   * @param customers to which they are added
   * @param numbers to which theirs are added
   */
  Customers(LocalDate today, List<Customer> customers, List<Number> numbers) {
    this.today = today;
    this.customers = customers;
    this.numbers = numbers;
  }

  /** Adds the customer at a position, with one to three numbers. */
  void add(int i) {
    boolean firm = i % 40 == 7;
    String first = Quillhaven.FIRST_NAMES.get(i % Quillhaven.FIRST_NAMES.size());
    String last = Quillhaven.LAST_NAMES.get((i * 7 + i / 40) % Quillhaven.LAST_NAMES.size());
    String name =
        firm ? Quillhaven.FIRMS.get(i / 40 % Quillhaven.FIRMS.size()) : first + " " + last;
    String boat = Quillhaven.BOATS.get((i * 11 + i / 30) % Quillhaven.BOATS.size());
    char pier = (char) ('A' + i % 5);
    customers.add(
        new Customer(
            name,
            firm ? name : first,
            i % 3 == 0 ? null : first.toLowerCase(Locale.ROOT) + "." + i + "@post.example",
            1 + i % 2,
            boat,
            22 + i * 5 % 27 + " ft",
            String.format(Locale.ROOT, "%c%02d", pier, 1 + i / 5 % 48),
            i % 6 == 2 ? appointment(i) : null,
            i % 8 == 3 ? Quillhaven.JOBS.get(i % Quillhaven.JOBS.size()) : null));
    numbers.add(new Number(freshNumber(), List.of(i)));
    if (i % 4 == 1) {
      numbers.add(new Number(freshNumber(), List.of(i)));
    }
    if (i % 40 == 20) {
      numbers.add(new Number(freshNumber(), List.of(i - 1, i)));
    }
  }

  private Appointment appointment(int i) {
    String what = List.of("Lift-out", "Launch", "Survey", "Viewing").get(i % 4);
    return new Appointment(
        what, Quillhaven.at(today.plusDays(1 + i % 12), LocalTime.of(8 + i % 7, 30)));
  }

  /** A number nobody has yet, of the reserved block. */
  String freshNumber() {
    String area = Quillhaven.AREAS.get(nextNumber % Quillhaven.AREAS.size());
    int last = 100 + nextNumber / Quillhaven.AREAS.size() % NUMBERS_AN_AREA;
    nextNumber++;
    return "+1" + area + "5550" + last;
  }
}
