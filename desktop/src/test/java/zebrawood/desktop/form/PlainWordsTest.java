package zebrawood.desktop.form;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.quantity.DisplayUnits;
import zebrawood.words.Phrasebook;

/** What people call things can be seen; what devices print is taken as it is. */
class PlainWordsTest {
  private static final StationForm FORM = new StationForm("machine", DisplayUnits.METRIC);
  private static final WordsField NAME = FORM.plainWords("name");
  private static final WordsField PRINTED = FORM.words("place");

  @ParameterizedTest
  @ValueSource(
      strings = {
        "Alder",
        "\u0622\u0644\u0629 \u0627\u0644\u062d\u0641\u0631",
        "\u96d5\u523b\u673a",
        "\ud83d\udc69\u200d\ud83d\udd27",
        "it's \"the big\" one; 100 %"
      })
  void whatShowsIsTaken(String words) {
    NAME.set(words);
    assertThat(NAME.problem()).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"a\u0007b", "a\u202eb", "a\u0000", "\ufeffa", "a\ue000", "a\u200bb"})
  void whatDoesNotShowIsRefusedWithItsNumber(String words) {
    NAME.set(words);
    assertThat(NAME.problem().map(Phrasebook.ENGLISH::sentence))
        .hasValueSatisfying(said ->
            assertThat(said)
                .startsWith("Name: ")
                .contains("cannot be seen (U+")
                .contains("Accepted"));
    PRINTED.set(words);
    assertThat(PRINTED.problem()).isEmpty();
  }

  @Test
  void whatIsTooLongIsSaid() {
    assertThat(PlainWords.problem("x".repeat(41), 40).map(Phrasebook.ENGLISH::sentence))
        .contains("It has 41 letters. Accepted are at most 40.");
    assertThat(PlainWords.problem("\ud83d\ude00".repeat(40), 40)).isEmpty();
  }
}
