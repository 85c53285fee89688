package fabulum.core.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What a role and single permissions together allow. */
class AccessRulesTest {
  private static final Set<Permission> ALL = EnumSet.allOf(Permission.class);

  private static Access access(Role role, Permission... given) {
    return new Access(role, Set.of(given), true);
  }

  @ParameterizedTest
  @CsvSource({
    "LEAD, WORK LEAD TEXT SEND_TO_MANY EXPORT CHANGE_TEMPLATES REMOVE_FOR_GOOD",
    "STAFF, WORK TEXT SEND_TO_MANY EXPORT CHANGE_TEMPLATES REMOVE_FOR_GOOD",
    "VIEWER, EXPORT"
  })
  void withEveryPermissionARoleAllows(Role role, String acts) {
    Access access = new Access(role, ALL, true);
    assertThat(access.acts().stream().map(Act::name)).containsExactlyInAnyOrder(acts.split(" "));
  }

  @ParameterizedTest
  @CsvSource({"LEAD, WORK LEAD", "STAFF, WORK", "VIEWER, ''"})
  void withoutAnyPermissionARoleAllows(Role role, String acts) {
    String[] names = acts.isEmpty() ? new String[0] : acts.split(" ");
    assertThat(access(role).acts().stream().map(Act::name)).containsExactlyInAnyOrder(names);
  }

  @Test
  void textingManyAsksForTextingAtAll() {
    assertThat(access(Role.STAFF, Permission.SEND_TO_MANY).may(Act.SEND_TO_MANY)).isFalse();
    assertThat(access(Role.STAFF, Permission.SEND_TO_MANY, Permission.TEXT).may(Act.SEND_TO_MANY))
        .isTrue();
  }

  @ParameterizedTest
  @EnumSource(Role.class)
  void whoHasLeftMayNothing(Role role) {
    Access left = new Access(role, ALL, false);
    assertThat(left.acts()).isEmpty();
    for (Permission permission : Permission.values()) {
      assertThat(left.has(permission)).isFalse();
    }
  }

  @ParameterizedTest
  @EnumSource(Role.class)
  void whatIsUsualInARoleSuitsIt(Role role) {
    assertThat(Permission.usual(role)).allMatch(permission -> permission.suits(role));
    assertThat(Permission.usual(role)).doesNotContain(Permission.REMOVE_FOR_GOOD);
  }

  @Test
  void aRefusalSaysWhoCanAllowIt() {
    assertThat(Access.refusal(Act.EXPORT, List.of("Maren Oduya")))
        .isEqualTo("You may not export. Maren Oduya can allow it.");
    assertThat(Access.refusal(Act.TEXT, List.of("Maren Oduya", "Wen Zhao")))
        .isEqualTo("You may not text customers. Maren Oduya or Wen Zhao can allow it.");
    assertThat(Access.refusal(Act.LEAD, List.of("A", "B", "C")))
        .isEqualTo("You may not do what a lead does. A lead can allow it.");
  }
}
