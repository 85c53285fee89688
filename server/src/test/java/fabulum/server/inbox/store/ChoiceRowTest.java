package fabulum.server.inbox.store;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.conversations.SightColumns;
import java.lang.reflect.Constructor;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class ChoiceRowTest {
  /** What says where to look, or goes with another condition. */
  private static final Set<String> NO_CONDITIONS =
      Set.of("sight", "walked", "teamLines", "lines", "digits");

  private static final Map<Class<?>, Object> SOMETHING =
      Map.of(
          boolean.class,
          true,
          Long.class,
          7L,
          String.class,
          "words",
          List.class,
          List.of(),
          ChoiceRow.OnFile.class,
          new ChoiceRow.OnFile("kind", null, null, null));

  private static ChoiceRow with(String name) throws ReflectiveOperationException {
    RecordComponent[] components = ChoiceRow.class.getRecordComponents();
    Object[] values = new Object[components.length];
    for (int i = 0; i < values.length; i++) {
      Class<?> type = components[i].getType();
      values[i] =
          components[i].getName().equals(name)
              ? SOMETHING.get(type)
              : type == boolean.class ? Boolean.FALSE : null;
    }
    values[0] = new SightColumns(1, null, null, null, null);
    Constructor<ChoiceRow> made =
        ChoiceRow.class.getDeclaredConstructor(
            Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new));
    return made.newInstance(values);
  }

  @Test
  void eachConditionNarrowsAndWhereToLookDoesNot() throws ReflectiveOperationException {
    for (RecordComponent component : ChoiceRow.class.getRecordComponents()) {
      String name = component.getName();
      if (!name.equals("sight")) {
        assertThat(with(name).narrows()).as(name).isNotEqualTo(NO_CONDITIONS.contains(name));
      }
    }
    assertThat(with("sight").narrows()).isFalse();
  }
}
