package fabulum.core.sending;

import fabulum.core.phone.Sender;
import fabulum.core.sending.SendQuestion.Allowance;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * The decision about one text to several numbers that see each other's texts. A number that may not
 * be texted is left out and the others go on; whatever else speaks against the text for one of the
 * others speaks against it for all.
 *
 * @param decision about the text as a whole; its parts are those of all copies together
 * @param reached who gets it; empty where nobody can
 */
public record GroupDecision(SendDecision decision, List<Sender> reached) {
  /** What keeps a text from one number, and from no other of the same group. */
  private static final Set<Reason> OF_ONE_NUMBER =
      Set.of(
          Reason.OPTED_OUT,
          Reason.MARKED_WRONG,
          Reason.NO_SUCH_NUMBER,
          Reason.CANNOT_RECEIVE,
          Reason.COUNTRY_NOT_REACHED);

  public GroupDecision {
    reached = List.copyOf(reached);
  }

  /**
   * One number of a group.
   *
   * @param name whose it is, or the number itself
   * @param decision about the text to this number alone, counted in no allowance
   */
  public record Member(Sender sender, String name, SendDecision decision) {
    private boolean isLeftOut() {
      return decision.objections().stream()
          .anyMatch(
              each -> each.severity() == Severity.REFUSE && OF_ONE_NUMBER.contains(each.reason()));
    }
  }

  /**
   * Decides about a text to a group.
   *
   * @param each all numbers of the group, at least one
   * @param first whether no text of ours went to this group before
   * @param allowances those all copies are counted in
   */
  public static GroupDecision of(
      List<Member> each, boolean first, List<Allowance> allowances, SendPolicy policy) {
    List<Member> out = each.stream().filter(Member::isLeftOut).toList();
    List<Member> in = each.stream().filter(one -> !one.isLeftOut()).toList();
    if (in.isEmpty()) {
      return new GroupDecision(new SendDecision(0, together(out, each.size())), List.of());
    }
    int parts = in.stream().mapToInt(one -> one.decision().parts()).sum();
    List<Objection> objections = new ArrayList<>(together(in, each.size()));
    objections.addAll(SendRules.ofAct(1, parts, allowances, policy));
    Severity warning = policy.of(Reason.GROUP_BEGINS);
    if (first && warning != Severity.IGNORE) {
      objections.add(
          new Objection(
              Reason.GROUP_BEGINS,
              warning,
              "This begins a group: all " + each.size() + " see each other's numbers and texts."));
    }
    if (!out.isEmpty()) {
      objections.add(new Objection(Reason.NOT_ALL_REACHED, Severity.TELL, leftOut(out, in.size())));
    }
    objections.sort(Comparator.comparing(Objection::reason));
    return new GroupDecision(
        new SendDecision(parts, objections), in.stream().map(Member::sender).toList());
  }

  /** What holds for all is said once; what holds for some is said with their names. */
  private static List<Objection> together(List<Member> members, int all) {
    Map<Objection, List<String>> said =
        new TreeMap<>(
            Comparator.comparing(Objection::reason)
                .thenComparing(Objection::severity)
                .thenComparing(Objection::sentence));
    for (Member member : members) {
      member
          .decision()
          .objections()
          .forEach(one -> said.computeIfAbsent(one, none -> new ArrayList<>()).add(member.name()));
    }
    return said.entrySet().stream()
        .map(one -> {
          Objection objection = one.getKey();
          boolean everyone = one.getValue().size() == all;
          return everyone
              ? objection
              : new Objection(
                  objection.reason(),
                  objection.severity(),
                  listed(one.getValue()) + ": " + objection.sentence());
        })
        .toList();
  }

  private static String leftOut(List<Member> out, int others) {
    String who =
        out.stream()
            .map(one -> one.name() + " (" + why(one) + ")")
            .collect(Collectors.joining(", "));
    return "Left out: "
        + who
        + ". "
        + (others == 1 ? "The other one gets" : "The other " + others + " get")
        + " it.";
  }

  private static String why(Member member) {
    Reason reason =
        member.decision().objections().stream()
            .filter(one -> one.severity() == Severity.REFUSE)
            .map(Objection::reason)
            .filter(OF_ONE_NUMBER::contains)
            .findFirst()
            .orElseThrow();
    return switch (reason) {
      case OPTED_OUT -> "opted out";
      case MARKED_WRONG -> "marked as wrong";
      case NO_SUCH_NUMBER -> "no such number";
      case CANNOT_RECEIVE -> "cannot receive texts";
      default -> "in a country this line does not text";
    };
  }

  private static String listed(List<String> names) {
    int last = names.size() - 1;
    return last == 0
        ? names.get(0)
        : String.join(", ", names.subList(0, last)) + " and " + names.get(last);
  }
}
