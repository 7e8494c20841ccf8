package zebrawood.records.json;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.bed.BedReadings;
import zebrawood.bed.GapPoint;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;

class RecordJsonTest {
  record Every(
      double lengthMm,
      int count,
      boolean fitted,
      String name,
      Instant at,
      Verdict verdict,
      List<GapPoint> points,
      Map<String, String> typed,
      Optional<String> note,
      OptionalDouble limitMm) {}

  private static final Every FULL =
      new Every(
          1.25,
          3,
          true,
          "Ø \"quoted\" 漢",
          Instant.parse("2026-11-03T10:15:00Z"),
          Verdict.MEASURE_AGAIN,
          List.of(new GapPoint(1, 2, 3)),
          Map.of("a", "6,35"),
          Optional.of("n"),
          OptionalDouble.of(0.3));

  @Test
  void whatIsWrittenIsReadAgain() {
    assertThat(RecordJson.read(RecordJson.write(FULL), Every.class)).isEqualTo(FULL);
    assertThat(RecordJson.write(FULL)).contains("\"verdict\":\"measure-again\"");
  }

  @Test
  void optionalFieldsMayBeAbsentOrNull() {
    String text = RecordJson.write(FULL).replace(",\"note\":\"n\"", "").replace("0.3}", "null}");
    Every read = RecordJson.read(text, Every.class);
    assertThat(read.note()).isEmpty();
    assertThat(read.limitMm()).isEmpty();
    assertThatThrownBy(() -> RecordJson.read(text, Every.class, Set.of("note")))
        .hasMessageContaining("note is missing, accepted is this field, null where there is none");
  }

  @Test
  void namesEveryBadFieldByItsPath() {
    String text =
        RecordJson.write(FULL)
            .replace("\"gapMm\":3.0", "\"gapMm\":\"three\",\"gapmm\":1")
            .replace("\"count\":3", "\"count\":3.5")
            .replace("measure-again", "perhaps")
            .replace("2026-11-03T10:15:00Z", "yesterday")
            .replace("\"fitted\":true", "\"fitted\":1");
    assertThatThrownBy(() -> RecordJson.read(text, Every.class))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("points[0].gapMm is \"three\", accepted is a finite number")
        .hasMessageContaining("points[0].gapmm is an unknown field")
        .hasMessageContaining("count is 3.5, accepted is a whole number")
        .hasMessageContaining("accepted is \"within\" or \"adjust\" or \"stop\"")
        .hasMessageContaining("at is \"yesterday\"")
        .hasMessageContaining("fitted is 1, accepted is true or false");
  }

  @Test
  void aRecordsOwnRefusalCarriesThePath() {
    String text = RecordJson.write(FULL).replace("\"gapMm\":3.0", "\"gapMm\":-3");
    assertThatThrownBy(() -> RecordJson.read(text, Every.class))
        .hasMessage("points[0].gapMm is -3, accepted is a number from 0 to 2000.");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        " ",
        "{",
        "null",
        "[]",
        "3",
        "\"text\"",
        "{\"lengthMm\":NaN}",
        "{\"a\":1,\"a\":2}",
        "{} {}",
        "{\"lengthMm\":1e999}",
        "{\"lengthMm\":0x10}",
        "\u0000"
      })
  void anythingElseIsOneSentence(String text) {
    assertThatThrownBy(() -> RecordJson.read(text, Every.class))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("accepted is")
        .hasMessageNotContaining("\n")
        .hasMessageNotContaining("Source:");
  }

  @Test
  void aByteOrderMarkIsPassedOver() {
    assertThat(RecordJson.read("\uFEFF" + RecordJson.write(FULL), Every.class)).isEqualTo(FULL);
  }

  @Test
  void deepNestingIsRefusedNotFollowed() {
    assertThatThrownBy(() -> RecordJson.read("{\"a\":" + "[".repeat(200_000), Every.class))
        .isInstanceOf(UnusableReading.class);
  }

  @Test
  void mutatedDocumentsAreReadOrRefused() {
    String whole =
        """
        {"points":[{"xMm":0,"yMm":0,"gapMm":6},{"xMm":9,"yMm":0,"gapMm":6},{"xMm":0,"yMm":9,"gapMm":6}],
        "gaugeResolutionMm":0.1,"toleranceMm":0.3,"screws":[],"keepScrew":null}
        """;
    Random random = new Random(1);
    String letters = "{}[]\",:0123456789.eE-+ nulltrue\\";
    for (int i = 0; i < 20_000; i++) {
      StringBuilder text = new StringBuilder(whole);
      for (int change = 1 + random.nextInt(3); change > 0; change--) {
        int at = random.nextInt(text.length());
        if (random.nextBoolean()) {
          text.deleteCharAt(at);
        } else {
          text.insert(at, letters.charAt(random.nextInt(letters.length())));
        }
      }
      // The quick reader of bytes gives up on what the other one refuses, and reads the rest alike.
      byte[] utf8 = text.toString().getBytes(UTF_8);
      Set<String> mustBeThere = Set.of("keepScrew");
      assertThat(readOrRefused(() -> RecordJson.read(utf8, BedReadings.class, mustBeThere)))
          .isEqualTo(
              readOrRefused(
                  () -> RecordJson.read(text.toString(), BedReadings.class, mustBeThere)));
    }
  }

  private static Object readOrRefused(Supplier<Record> reading) {
    try {
      return reading.get();
    } catch (UnusableReading refusal) {
      assertThat(refusal.getMessage()).isNotBlank();
      return refusal.getMessage();
    }
  }

  record Common(
      double lengthMm,
      Double otherMm,
      int count,
      boolean fitted,
      Verdict verdict,
      List<Optional<GapPoint>> points,
      Optional<Integer> steps,
      OptionalDouble limitMm) {}

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "{\"lengthMm\":1,",
        "\"fitted\":false",
        "\"count\":3.0",
        "\"count\":-0",
        "\"count\":2147483648",
        "\"lengthMm\":1.00000000000000000001",
        "\"lengthMm\":123456789012345678901234567890",
        "\"lengthMm\":1e400",
        "\"verdict\":null",
        "\"points\":[]",
        "\"points\":[null, {\"yMm\":2,\"xMm\":1,\"gapMm\":3}]",
        "\"points\":[{\"yMm\":2,\"xMm\":1}]",
        "\"steps\":4",
        "\"limitMm\":null",
        "\"limitMm\":\"0.1\"",
        "\"other\":[1]",
        "\"lengthMm\":1,\"lengthMm\":1"
      })
  void bytesAreReadAsTextIs(String changed) {
    String whole =
        "{\"count\":3,\"lengthMm\":1.25,\"otherMm\":2,\"fitted\":true,\"verdict\":\"within\","
            + "\"points\":[{\"xMm\":1,\"yMm\":2,\"gapMm\":3}],\"steps\":null,\"limitMm\":0.3}";
    String name = changed.replaceAll(":.*", "");
    String text =
        whole.contains(name) && !name.isEmpty()
            ? whole.replaceAll(name + ":(\\[.*]|[^,}]*)", Matcher.quoteReplacement(changed))
            : whole.replaceFirst("}$", changed.isEmpty() ? "}" : "," + changed + "}");
    assertThat(readOrRefused(() -> RecordJson.read(text.getBytes(UTF_8), Common.class, Set.of())))
        .isEqualTo(readOrRefused(() -> RecordJson.read(text, Common.class)));
  }

  record NotFinite(double value) {}

  @Test
  void aFindingWithoutANumberIsADefect() {
    assertThatThrownBy(() -> RecordJson.write(new NotFinite(Double.NaN)))
        .isInstanceOf(IllegalStateException.class);
  }
}
