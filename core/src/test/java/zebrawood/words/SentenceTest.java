package zebrawood.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

class SentenceTest {
  private static String said(String text, Object... arguments) {
    return said(Sentence.read(text, UnaryOperator.identity()), arguments);
  }

  private static String said(Sentence sentence, Object... arguments) {
    StringBuilder words = new StringBuilder();
    sentence.say(List.of(arguments), (argument, to) -> to.append(argument), words);
    return words.toString();
  }

  /** The library's own formatter says what a text means. */
  @Test
  void placesAreFilledAsTheLibraryFillsThem() {
    for (String text :
        List.of(
            "%s, %s",
            "%2$s before %1$s",
            "%s at %s %% of %s",
            "100 %%",
            "nothing to say",
            "%s%s",
            "%1$s and %1$s")) {
      assertThat(said(text, "a", "b", "c"))
          .isEqualTo(String.format(Locale.ROOT, text, "a", "b", "c"));
    }
  }

  @Test
  void whatIsNoPlaceIsRefusedAndAMissingArgumentToo() {
    for (String text : List.of("%d", "50 % of it", "%", "%.2f", "%n")) {
      assertThatThrownBy(() -> said(text, "a")).as(text).hasMessageContaining("no place");
    }
    assertThatThrownBy(() -> said("%s and %s", "a")).isInstanceOf(IndexOutOfBoundsException.class);
  }

  @Test
  void onlyPlainWordsAreSpoken() {
    Sentence loud = Sentence.read("turn %s by %2$s %%", s -> s.toUpperCase(Locale.ROOT));
    assertThat(said(loud, "it", "half")).isEqualTo("TURN it BY half %");
  }

  @Test
  void daysAreSaidWithTheBundlesMonths() {
    Instant at = Instant.parse("2026-05-04T08:05:00Z");
    Phrasebook words = Phrasebook.ENGLISH;
    assertThat(words.say(Dates.day(at, ZoneOffset.UTC))).isEqualTo("04 May");
    assertThat(words.say(Dates.dayAndTime(at, ZoneOffset.UTC))).isEqualTo("04 May 2026 08:05");
    assertThat(words.say(Dates.moment(at, at.plusSeconds(60), ZoneOffset.UTC)))
        .isEqualTo("04 May 08:05");
    assertThat(words.say(Dates.moment(at, at.plusSeconds(400L * 86_400), ZoneOffset.UTC)))
        .isEqualTo("04 May 2026");
    assertThat(Phrasebook.pseudo().say(Dates.day(at, ZoneOffset.UTC))).isEqualTo("04 Ṁáýō");
  }
}
