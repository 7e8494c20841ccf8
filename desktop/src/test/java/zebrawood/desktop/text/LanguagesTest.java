package zebrawood.desktop.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.ChoiceFormat;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import zebrawood.quantity.Amount;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Dates;
import zebrawood.words.Language;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/** Every language beside English is whole: no key, no argument and no sentence is missing. */
class LanguagesTest {
  private static final Pattern PLACE = Pattern.compile("%(?:(\\d+)\\$)?(?:s|\\[([^\\]]*)])|%%");

  /** English words that no other language here has, but in the compound that follows. */
  private static final Pattern ENGLISH =
      Pattern.compile(
          "\\b(?:the|and|of|is|are|with|for|not(?!-Aus)|to|from|by|be|which|that|this|or)\\b",
          Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CHARACTER_CLASS);

  private static final Pattern OF_ANOTHER = Pattern.compile("(.*)_[a-z]{2}\\.properties");

  /** Words that are the same in both. */
  private static final Set<String> ALIKE =
      Set.of(
          "Zebrawood",
          "Java",
          "Deutsch",
          "Jun",
          "Jul",
          "English",
          "Name",
          "Station",
          "ABS",
          "Frost",
          "Gas",
          "Pause",
          "Ring",
          "Scan",
          "ideal",
          "Jan",
          "Feb",
          "Apr",
          "Aug",
          "Sep",
          "Nov");

  static Stream<Language> others() {
    return Stream.of(Language.values()).filter(l -> l != Language.ENGLISH);
  }

  private static List<Path> english() throws IOException {
    return TextTest.files(".properties").stream()
        .filter(f -> !OF_ANOTHER.matcher(f.toString()).matches())
        .toList();
  }

  /** Lines as they stand, in their order. */
  private static Map<String, String> lines(Path file) throws IOException {
    Map<String, String> lines = new LinkedHashMap<>();
    for (String line : Files.readAllLines(file, StandardCharsets.UTF_8)) {
      int equals = line.indexOf('=');
      if (equals > 0 && !line.startsWith("#")) {
        assertThat(lines.put(line.substring(0, equals), line.substring(equals + 1)))
            .as("%s is there once in %s", line, file)
            .isNull();
      }
    }
    return lines;
  }

  private static Path beside(Path english, Language language) {
    String name = english.getFileName().toString();
    return english.resolveSibling(
        name.replace(".properties", "_" + language.locale() + ".properties"));
  }

  @ParameterizedTest
  @MethodSource("others")
  void everyBundleHasTheSameKeysInTheSameOrder(Language language) throws IOException {
    for (Path file : english()) {
      Map<String, String> lines = lines(file);
      if (!lines.isEmpty()) {
        assertThat(lines(beside(file, language)).keySet())
            .as(file.toString())
            .containsExactlyElementsOf(lines.keySet());
      }
    }
  }

  /** Which arguments a text says. */
  private static Set<Integer> said(String text) {
    Set<Integer> said = new TreeSet<>();
    Matcher place = PLACE.matcher(text);
    int next = 0;
    while (place.find()) {
      if (place.group().equals("%%") || place.group(2) != null) {
        continue;
      }
      said.add(place.group(1) == null ? ++next : Integer.parseInt(place.group(1)));
    }
    return said;
  }

  @ParameterizedTest
  @MethodSource("others")
  void everyTextSaysTheSameArgumentsAndNoEnglish(Language language) throws IOException {
    Set<String> plain = new TreeSet<>();
    for (Path file : english()) {
      Map<String, String> lines = lines(file);
      Map<String, String> others = lines.isEmpty() ? lines : lines(beside(file, language));
      lines.forEach((key, text) -> {
        String other = others.get(key);
        assertThat(said(other)).as(key).isEqualTo(said(text));
        Matcher place = PLACE.matcher(other);
        while (place.find()) {
          if (place.group(2) != null) {
            assertThat(new ChoiceFormat(place.group(2)).format(2)).as(key).isNotEmpty();
          }
        }
        boolean alike =
            other.equals(text)
                && Pattern.compile("\\b[A-Za-z]{3,}\\b")
                    .matcher(PLACE.matcher(text).replaceAll(" "))
                    .results()
                    .anyMatch(
                        word -> !ALIKE.contains(word.group()) && !word.group().matches("min|kHz"))
                && !key.startsWith("command.language");
        if (alike || ENGLISH.matcher(other.replace("pale-at-the-rear", "")).find()) {
          plain.add(key + "=" + other);
        }
      });
    }
    assertThat(plain).isEmpty();
  }

  @Test
  void numbersDatesAndWholeSentencesAreWrittenAsThere() {
    Phrasebook german = Phrasebook.of(Language.GERMAN, DisplayUnits.METRIC);
    assertThat(german.say(Amount.mm(6.25, 2))).isEqualTo("6,25 mm");
    assertThat(german.say(Amount.of(-1234.5, Quantity.SPEED, 1))).isEqualTo("-1234,5 mm/s");
    assertThat(german.say(Message.number(0.5))).isEqualTo("0,5");
    assertThat(german.say(Amount.of(3, Quantity.LINES, 0))).isEqualTo("3 Zeilen");
    assertThat(german.say(Dates.dayAndTime(Instant.parse("2026-03-04T09:30:00Z"), ZoneOffset.UTC)))
        .isEqualTo("04. Mär 2026 09:30");
    assertThat(
            german.sentence(
                Advice.act("focus.set", Amount.mm(6.5, 2))
                    .because("focus.set.why", Amount.mm(0.05, 2))))
        .isEqualTo("Den Abstand auf 6,50 mm stellen: ± 0,05 mm.");
    assertThat(german.sentence(Message.of("words.at", "Spiegel 2", "Höhe")))
        .as("a noun keeps its capital")
        .isEqualTo("Spiegel 2: Höhe.");
    assertThat(Phrasebook.ENGLISH.say(Message.number(0.5))).isEqualTo("0.5");
  }

  @Test
  void theComputersOwnLanguageIsSpokenWhereItIsOneOfThese() {
    assertThat(Language.ofSystem(Locale.of("de", "AT"))).isEqualTo(Language.GERMAN);
    assertThat(Language.ofSystem(Locale.US)).isEqualTo(Language.ENGLISH);
    assertThat(Language.ofSystem(Locale.FRANCE)).isEqualTo(Language.ENGLISH);
    assertThat(Language.ofSystem(Locale.ROOT)).isEqualTo(Language.ENGLISH);
  }
}
