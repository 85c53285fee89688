package fabulum.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SmallWordsTest {
  @ParameterizedTest
  @ValueSource(
      strings = {
        "when do you close",
        "No hot water since this morning!",
        "ok",
        "Thermostat dead",
        "me and my café are closed, can we pay on Monday?",
        "r u open 2day",
        "Is Señor Ibáñez in?",
        "555-0100",
        "",
      })
  void thisMayBeEnglish(String text) {
    assertThat(SmallWords.mayBeEnglish(text)).isTrue();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "¿a qué hora abren el sábado?",
        "no puedo ir el martes",
        "wann kommt der Techniker",
        "toilette läuft dauernd",
        "je ne peux pas venir demain",
        "não posso ir na terça",
        "non posso venire domani",
        "ik kan morgen niet komen",
        "nie mogę przyjść jutro",
        "когда вы открываетесь",
        "何時に閉まりますか ok",
        "is the pool открыт",
      })
  void thisIsAnotherLanguage(String text) {
    assertThat(SmallWords.mayBeEnglish(text)).isFalse();
  }
}
