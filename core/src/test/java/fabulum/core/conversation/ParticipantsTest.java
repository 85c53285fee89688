package fabulum.core.conversation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.core.phone.NamedSender;
import fabulum.core.phone.PhoneNumber;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class ParticipantsTest {
  private static PhoneNumber number(int n) {
    return new PhoneNumber("+1312555" + String.format("%04d", 100 + n));
  }

  private static List<PhoneNumber> numbers(int count) {
    return IntStream.range(0, count).mapToObj(ParticipantsTest::number).toList();
  }

  @Test
  void theSameNumbersAreTheSameConversationInAnyOrderAndHoweverOftenTheyAreSaid() {
    Random random = new Random(20261127);
    for (int round = 0; round < 200; round++) {
      List<PhoneNumber> said = new ArrayList<>(numbers(1 + random.nextInt(8)));
      String key = Participants.group(said).key();
      said.add(said.get(random.nextInt(said.size())));
      Collections.shuffle(said, random);
      assertThat(Participants.group(said).key()).isEqualTo(key);
      said.add(number(50));
      assertThat(Participants.group(said).key()).isNotEqualTo(key);
    }
  }

  @Test
  void aKeyIsTheAddressesInOrder() {
    assertThat(Participants.group(List.of(number(2), number(1))).key())
        .isEqualTo("+13125550101 +13125550102");
    assertThat(Participants.of(new NamedSender("WEATHER")).key()).isEqualTo("WEATHER");
    assertThat(Participants.group(numbers(Participants.LARGEST)).key().length())
        .isLessThanOrEqualTo(400);
  }

  @Test
  void aGroupHasPhoneNumbersOnlyAndNoMoreThanItsLineAllows() {
    assertThat(Participants.of(number(1)).isGroup()).isFalse();
    assertThat(Participants.group(numbers(2)).isGroup()).isTrue();
    assertThat(Participants.group(numbers(8)).fits(8)).isTrue();
    assertThat(Participants.group(numbers(9)).fits(8)).isFalse();
    assertThat(Participants.of(number(1)).fits(0)).isTrue();
    assertThatThrownBy(() -> Participants.group(numbers(Participants.LARGEST + 1)))
        .hasMessageContaining("1 to 20");
    assertThatThrownBy(() -> Participants.group(List.of())).hasMessageContaining("1 to 20");
    assertThatThrownBy(
            () -> new Participants(Channel.TEXT, List.of(number(1), new NamedSender("WEATHER"))))
        .hasMessageContaining("phone numbers");
  }
}
