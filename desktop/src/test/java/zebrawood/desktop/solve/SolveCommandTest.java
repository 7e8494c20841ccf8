package zebrawood.desktop.solve;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zebrawood.desktop.stations.StationList;

class SolveCommandTest {
  private static final String BED =
      """
      {"points":[{"xMm":0,"yMm":0,"gapMm":6.0},{"xMm":600,"yMm":0,"gapMm":6.6},
        {"xMm":0,"yMm":400,"gapMm":6.3},{"xMm":600,"yMm":400,"gapMm":6.9}],
       "gaugeResolutionMm":0.1,"toleranceMm":0.3,
       "screws":[{"id":"a","xMm":0,"yMm":0,"pitchMm":0.5,"clockwise":"raises"},
        {"id":"b","xMm":600,"yMm":0,"pitchMm":0.5,"clockwise":"raises"},
        {"id":"c","xMm":0,"yMm":400,"pitchMm":0.5,"clockwise":"lowers"},
        {"id":"d","xMm":600,"yMm":400,"pitchMm":0.5,"clockwise":"raises"}],
       "keepScrew":"a"}
      """
          .replaceAll("\n\\s*", "");

  private record Ran(int code, String out, String err) {}

  private static Ran run(String station, boolean lines, String input) throws IOException {
    return run(station, lines, input.getBytes(StandardCharsets.UTF_8));
  }

  private static Ran run(String station, boolean lines, byte[] input) throws IOException {
    var out = new ByteArrayOutputStream();
    var err = new ByteArrayOutputStream();
    int code =
        new SolveCommand(StationList.solvers())
            .run(
                station,
                lines,
                new ByteArrayInputStream(input),
                new PrintStream(out, true, StandardCharsets.UTF_8),
                new PrintStream(err, true, StandardCharsets.UTF_8));
    return new Ran(
        code, out.toString(StandardCharsets.UTF_8), err.toString(StandardCharsets.UTF_8));
  }

  @Test
  void aFindingIsOneLineOfJsonWithEveryFieldOfTheContract() throws IOException {
    Ran ran = run("bed", false, BED);
    assertThat(ran.code()).isZero();
    assertThat(ran.err()).isEmpty();
    assertThat(ran.out().strip().lines()).hasSize(1);
    assertThat(ran.out())
        .containsPattern("\"slopeXMmPerM\":-(1\\.0|0\\.99999)")
        .containsPattern("\"slopeYMmPerM\":-0\\.7(5|49999)")
        .contains("\"slopeXMmPerMUncertainty\":", "\"slopeYMmPerMUncertainty\":")
        .contains("\"id\":\"a\",\"riseMm\":0.0")
        .contains("\"direction\":\"none\"", "\"direction\":\"counter-clockwise\"")
        .contains("\"peakToValleyNowMm\":0.9", "\"peakToValleyAfterMm\":", "\"warpMm\":")
        .contains("\"verdict\":\"adjust\"", "\"advice\":[\"Turn screw", "\"warnings\":[]");
  }

  @Test
  void shimsAreForTheColumnOfAFixedHead() throws IOException {
    Ran ran =
        run(
            "shims",
            false,
            """
            {"points":[{"xMm":0,"yMm":0,"gapMm":180},{"xMm":100,"yMm":0,"gapMm":180.4},
              {"xMm":0,"yMm":100,"gapMm":180}],"gaugeResolutionMm":0.05,"toleranceMm":0.2,
             "feet":[{"id":"l","xMm":0,"yMm":200},{"id":"r","xMm":100,"yMm":200},
              {"id":"b","xMm":0,"yMm":300}]}
            """);
    assertThat(ran.out())
        .containsPattern("\"slopeXMmPerM\":(4\\.0|3\\.99999)")
        .contains("{\"id\":\"r\",\"thicknessMm\":0.0")
        .containsPattern("\\{\"id\":\"l\",\"thicknessMm\":0\\.[34]");
  }

  @Test
  void theSiteIsSurveyedInThePartsGiven() throws IOException {
    Ran ran =
        run(
            "site",
            false,
            """
            {"air":{"temperatureC":25,"relativeHumidityPercent":60,"coolantC":20},
             "bucket":{"litres":20,"startC":20,"limitC":28,"airC":20,"heatW":30,"lossWPerK":5},
             "duct":{"pieces":[{"diameterMm":100,"lengthM":3,"bends90":2,"roughnessMm":1}],"flowM3H":300},
             "coldest":{"lowestC":-10,"glycol":"propylene","loopLitres":12}}
            """);
    assertThat(ran.err()).isEmpty();
    assertThat(ran.out())
        .contains("\"dewPointC\":16.69", "\"condenses\":false", "\"minutesToLimit\":null")
        .contains("\"steadyC\":26.0", "\"operatingFlowM3H\":null", "\"glycolLitres\":3.0")
        .doesNotContain("circuit", "eyewear");
    assertThat(run("site", false, "{}").err())
        .isEqualTo(
            "site is without any part, accepted is air, circuit, bucket, duct, coldest or eyewear.\n");
    assertThat(
            run(
                    "site",
                    false,
                    "{\"air\":{\"temperatureC\":25,\"relativeHumidityPercent\":120,\"coolantC\":20}}")
                .err())
        .isEqualTo("air.relativeHumidityPercent is 120, accepted is a number from 0.1 to 100.\n");
  }

  private static final String PULSES =
      """
      {"source":{"averageW":20,"leastKhz":20,"mostKhz":200,"pulseNs":null},"spotMm":0.05,
       "setting":{"percent":50,"speedMmS":1000,"khz":50,"pulseNs":null,"hatchMm":0.03,"wobble":null,
        "passes":1}}
      """;

  @Test
  void whatMayBeNullDeeperInADocumentMustStillBeThere() throws IOException {
    Ran ran = run("pulses", false, PULSES);
    assertThat(ran.err()).isEmpty();
    assertThat(ran.out()).contains("\"pulseMj\":0.2", "\"peakKw\":null", "\"pathRatio\":1.0");
    assertThat(run("pulses", false, PULSES.replace(",\"wobble\":null", "")).err())
        .contains("setting.wobble is missing");
    assertThat(run("pulses", false, PULSES.replace("\"spotMm\":0.05", "\"spotMm\":0")).err())
        .contains("spotMm is 0")
        .doesNotContain("pulseNs");
  }

  @Test
  void aCardIsPlannedWithEveryFieldOfTheContract() throws IOException {
    Ran ran =
        run(
            "card-plan",
            false,
            """
            {"percents":[20,40],"speedsMmS":[50,100],"squareMm":[5,5],"gapMm":2,"atMm":[60,60],
             "intervalMm":0.5,"travelMm":[300,200],"topPowerWord":1000,
             "crossAt":{"percent":30,"speedMmS":60},"layersMost":3}
            """);
    assertThat(ran.err()).isEmpty();
    assertThat(ran.out())
        .contains("\"powerWord\":200", "\"runUpMm\":null", "\"seconds\":null", "\"gcode\":null")
        .contains("\"runs\":[{\"squares\":[[0,0],[1,0],[0,1]]},{\"squares\":[[1,1]]}]")
        .contains("\"fits\":true", "\"verdict\":\"within\"");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          "gapMm":6.0            | "gapMm":"6"             | points[0].gapMm is "6", accepted is a finite number
          "gapMm":6.0            | "gapMm":-6              | points[0].gapMm is -6, accepted is a number from 0
          "gapMm":6.0            | "gapMm":1e999           | points[0].gapMm
          "gapMm":6.0            | "gap":6                 | points[0].gapMm is missing
          "keepScrew":"a"        | "keepScrew":"z"         | keepScrew is "z", accepted is one of [a, b, c, d]
          ,"keepScrew":"a"       |                         | keepScrew is missing
          "pitchMm":0.5          | "pitchMm":0             | screws[0].pitchMm is 0
          "clockwise":"lowers"   | "clockwise":"up"        | accepted is "raises" or "lowers"
          "toleranceMm":0.3      | "toleranceMm":null      | toleranceMm is null
          "toleranceMm":0.3      | "tolerance":0.3         | tolerance is an unknown field
          "id":"b"               | "id":"a"                | "a" twice
          {"points"              | {{"points"              | the input is not JSON
          """)
  void refusalsNameFieldValueAndWhatIsAccepted(String part, String instead, String sentence)
      throws IOException {
    Ran ran = run("bed", false, BED.replace(part, instead == null ? "" : instead));
    assertThat(ran.code()).isEqualTo(2);
    assertThat(ran.out()).isEmpty();
    assertThat(ran.err()).contains(sentence).endsWith(".\n");
    assertThat(ran.err().strip().lines()).hasSize(1);
  }

  @Test
  void bytesThatAreNoTextAndStationsThatAreNoneAreRefused() throws IOException {
    assertThat(run("bed", false, new byte[] {(byte) 0xC3, 0x28}).err()).contains("not UTF-8");
    Ran none = run("beds", false, BED);
    assertThat(none.code()).isEqualTo(2);
    assertThat(none.err())
        .isEqualTo(
            "STATION is \"beds\", accepted is site or controller or mirrors or tape-photo or bed or shims"
                + " or focus-ramp or focus-ramp-photo or focus-ladder or lens or field or field-scan or pointer or power-cap"
                + " or rescale or camera or camera-photo or card-plan or card-scan or card-choose"
                + " or card-drift or pulses or rotary or feed or upkeep or fault.\n");
  }

  @Test
  void memoryIsBoundedWhateverComesAndAnErrorQuotesLittle() throws IOException {
    SolveCommand small = new SolveCommand(StationList.solvers(), 2_000);
    var out = new java.io.ByteArrayOutputStream();
    String endless = "[".repeat(100_000) + "\n" + BED + "\n";
    small.run(
        "bed",
        true,
        new java.io.ByteArrayInputStream(endless.getBytes(StandardCharsets.UTF_8)),
        new java.io.PrintStream(out, true, StandardCharsets.UTF_8),
        System.err);
    String[] answers = out.toString(StandardCharsets.UTF_8).split("\n");
    assertThat(answers).hasSize(2);
    assertThat(answers[0]).contains("too long, accepted is at most 2000 bytes");
    assertThat(answers[1]).startsWith("{\"slope");
    String wordy = BED.replace("\"raises\"", "\"" + "u".repeat(50_000) + "\"");
    assertThat(run("bed", false, wordy).err().length()).isLessThan(3_000);
    assertThat(run("bed", false, "[".repeat(5_000)).err()).contains("accepted is");
  }

  @Test
  void figuresOfThingsThatDoNotExistAreRefused() throws IOException {
    assertThat(run("bed", false, BED.replace("\"pitchMm\":0.5", "\"pitchMm\":1e-300")).err())
        .startsWith("screws[0].pitchMm is 1.0E-300, accepted is a number from 0.001 to 20")
        .doesNotContain("computation failed");
  }

  @Test
  void manyLinesAreAnsweredInOrderAndBadOnesDoNotStopTheRest() throws IOException {
    StringBuilder input = new StringBuilder();
    int count = 10_000;
    for (int i = 0; i < count; i++) {
      input.append(
          i % 10 == 3
              ? "nonsense " + i
              : BED.replace("\"gapMm\":6.6", "\"gapMm\":" + (6 + i / 100_000.0)));
      input.append(i % 7 == 0 ? "\n\n" : "\n");
    }
    Ran ran = run("bed", true, input.toString());
    assertThat(ran.code()).isZero();
    assertThat(ran.err()).isEmpty();
    String[] answers = ran.out().split("\n");
    assertThat(answers).hasSize(count);
    for (int i = 0; i < count; i += 37) {
      assertThat(answers[i])
          .startsWith(i % 10 == 3 ? "{\"error\":\"the input is not JSON" : "{\"slope");
      if (i % 10 != 3) {
        assertThat(answers[i]).isEqualTo(run("bed", false, line(i)).out().strip());
      }
    }
    assertThat(run("bed", true, "").out()).isEmpty();
  }

  private static String line(int i) {
    return BED.replace("\"gapMm\":6.6", "\"gapMm\":" + (6 + i / 100_000.0));
  }

  private static final String CONTROLLER =
      """
      {"dialect":{"name":"Terse","settingLine":"{key}: {value}","writeLine":"set {key} {value}",
        "remark":["#"],"roles":{"top-power-word":{"key":"top"},"least-power-word":{"key":"least"},
        "laser-follows-motion":{"key":"follow","values":{"on":"1","off":"0"}},
        "soft-limits":{"key":"soft","values":{"on":"1","off":"0"}},
        "hard-limits":{"key":"hard","values":{"on":"1","off":"0"}},
        "homing":{"key":"seek","values":{"on":"1","off":"0"}},
        "home-corner":{"key":"corner","values":{"front-left":"a","rear-left":"b"}},
        "travel-x":{"key":"wide"},"travel-y":{"key":"deep"}}},
       "settings":"hello\\ntop: 4000 # words\\nleast: 0\\nfollow: 0\\nsoft: 1\\nseek: 0\\nhard: 1\\ncorner: a\\nwide: 400.000\\ndeep: 300\\nend",
       "machine":{"travelMm":[400,300],"homeCorner":"front-left","limitSwitches":true,"laser":"co2"},
       "jobSoftware":{"topPowerWord":1000,"airAssistCode":"M8","units":"mm"},
       "wiredAirAssistCode":"M7","policy":"match-controller"}
      """;

  @Test
  void aControllersDumpIsAudited() throws IOException {
    Ran ran = run("controller", false, CONTROLLER.getBytes(StandardCharsets.UTF_8));
    assertThat(ran.err()).isEmpty();
    assertThat(ran.out())
        .contains("\"effectiveFullPower\":0.25", "\"saturatesAtPercent\":100.0")
        .contains("\"id\":\"soft-limits\",\"setting\":\"soft\",\"observed\":\"on\"")
        .contains("\"id\":\"travel\",\"setting\":\"wide,deep\",\"observed\":[400.0,300.0]")
        .contains("\"id\":\"air-assist\",\"setting\":null")
        .contains("\"observed\":\"M8\",\"advised\":\"M7\"")
        .contains("\"writes\":[\"set follow 1\",\"set seek 1\"]", "\"verdict\":\"stop\"")
        .contains("\"id\":\"units\",\"setting\":null,\"observed\":null");
    String unknown =
        run(
                "controller",
                false,
                CONTROLLER
                    .replace("top: 4000 # words\\n", "")
                    .replace("follow: 0", "follow: 1")
                    .replace("soft: 1", "soft: 0")
                    .getBytes(StandardCharsets.UTF_8))
            .out();
    assertThat(unknown)
        .contains("\"effectiveFullPower\":null,\"saturatesAtPercent\":null,\"powerTable\":null")
        .contains("\"verdict\":\"measure-again\"");
    for (String bad :
        new String[] {
          CONTROLLER.replace("\"M7\"", "7"),
          CONTROLLER.replace("[400,300]", "[400]"),
          CONTROLLER.replace("top: 4000", "top: -1"),
          CONTROLLER.replace("{key}: {value}", "{key} alone"),
          CONTROLLER.replace("\"on\":\"1\"", "\"perhaps\":\"1\""),
          CONTROLLER.replace("travel-x", "travel-z"),
          CONTROLLER.replace("{key}: {value}", "<{key}> {value}"),
          CONTROLLER.replace("\"topPowerWord\":1000", "\"topPowerWord\":0"),
          CONTROLLER.replace("\"limitSwitches\":true", "\"limitSwitches\":1")
        }) {
      Ran refused = run("controller", false, bad.getBytes(StandardCharsets.UTF_8));
      assertThat(refused.code()).as(bad).isEqualTo(2);
      assertThat(refused.out()).isEmpty();
      assertThat(refused.err()).contains("accepted is");
    }
  }

  private static String mark(String at, double from1, String from2, double right, double up) {
    return "{\"at\":\"%s\",\"pathFrom1Mm\":%s%s,\"rightMm\":%s,\"upMm\":%s}"
        .formatted(at, from1, from2, right, up);
  }

  private static String mirrors(String... marks) {
    String screw = "{\"armMm\":50,\"pitchMm\":0.5,\"clockwiseMovesBeam\":\"%s\"}";
    String mount =
        "{\"sideways\":" + screw.formatted("right") + ",\"upDown\":" + screw.formatted("up") + "}";
    return "{\"markResolutionMm\":0.5,\"apertureMm\":16,\"toleranceMm\":1,\"mounts\":{\"1\":"
        + mount
        + ",\"2\":"
        + mount
        + "},\"marks\":["
        + String.join(",", marks)
        + "]}";
  }

  @Test
  void marksBecomeTurns() throws IOException {
    String near = mark("head", 500, ",\"pathFrom2Mm\":200", 0, 0);
    String far = mark("head", 1600, ",\"pathFrom2Mm\":800", -3, 1);
    String rear = mark("mirror-2", 300, "", 1, 0);
    String front = mark("mirror-2", 800, "", 2.5, 0);
    Ran ran =
        run("mirrors", false, mirrors(far, rear, near, front).getBytes(StandardCharsets.UTF_8));
    assertThat(ran.err()).isEmpty();
    assertThat(ran.out())
        .contains("\"mirrors\":{\"1\":{\"beamErrorRightMrad\":", "\"headShiftRightMm\":")
        .contains("\"direction\":\"counter-clockwise\"", "\"verdict\":\"adjust\"");
    Ran few = run("mirrors", false, mirrors(near, far).getBytes(StandardCharsets.UTF_8));
    assertThat(few.code()).isEqualTo(2);
    assertThat(few.err()).contains("accepted is a mark at").doesNotContain("Exception");
    Ran wrong =
        run(
            "mirrors",
            false,
            mirrors(mark("head", 500, "", 0, 0)).getBytes(StandardCharsets.UTF_8));
    assertThat(wrong.err()).contains("marks[0].pathFrom2Mm is missing");
  }

  /** What cannot be answered stands there as null. */
  @Test
  void oneHeightOfMarksLeavesTheCameraOpen() throws IOException {
    Ran ran = run("camera", false, CAMERA);
    assertThat(ran.code()).isZero();
    assertThat(ran.out())
        .contains("\"cameraMm\":null", "\"heightSlopeMmPerMm\":null", "\"verdict\":\"within\"")
        .containsPattern(
            "\"at\":\\[\\{\"xMm\":9[67]\\.[0-9]+,\"yMm\":10[34]\\.[0-9]+,[^}]*\\},null\\]");
  }

  private static final String CAMERA =
      """
      {"image":{"widthPx":1000,"heightPx":1000},"marks":[{"xMm":20,"yMm":20,"xPx":284.2,"yPx":73\
      8.8},{"xMm":100,"yMm":20,"xPx":513.8,"yPx":743.7},{"xMm":180,"yMm":20,"xPx":742.2,"yPx":73\
      8.1},{"xMm":20,"yMm":100,"xPx":278.9,"yPx":509.7},{"xMm":100,"yMm":100,"xPx":514.0,"yPx":5\
      10.0},{"xMm":180,"yMm":100,"xPx":747.9,"yPx":509.7},{"xMm":20,"yMm":180,"xPx":283.3,"yPx":\
      279.2},{"xMm":100,"yMm":180,"xPx":513.8,"yPx":274.7},{"xMm":180,"yMm":180,"xPx":743.2,"yPx\
      ":279.9}],"markResolutionPx":0.2,"toleranceMm":2,"bedMm":[200,200],"at":[{"xPx":505,"yPx":\
      498,"heightMm":0},{"xPx":-5,"yPx":1,"heightMm":0}]}
      """;
}
