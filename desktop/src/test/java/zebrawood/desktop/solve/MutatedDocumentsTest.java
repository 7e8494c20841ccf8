package zebrawood.desktop.solve;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.DoubleNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Consumer;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import zebrawood.desktop.stations.StationList;

/**
 * Whatever numbers a document has, {@code solve} answers figures that a machine can have, or one
 * line that refuses the field.
 */
class MutatedDocumentsTest {
  /** More of them with -Dzebrawood.mutations. */
  private static final int MUTATIONS = Integer.getInteger("zebrawood.mutations", 3_000) / 6;

  private static final ObjectMapper JSON = new ObjectMapper();
  private static final int[] POWERS = {-40, -20, -9, -6, -4, -3, -2, -1, 1, 2, 3, 4, 6, 9, 20, 40};

  /** What ends with these words lies between these. The first that fits counts. */
  private static final Map<String, double[]> POSSIBLE =
      Map.ofEntries(
          Map.entry("Percent", new double[] {0, 100}),
          Map.entry("Fraction", new double[] {-2000, 1}),
          Map.entry("Turns", new double[] {0, 6000}),
          Map.entry("turns", new double[] {0, 6000}),
          Map.entry("MmPerM", new double[] {-300, 300}),
          Map.entry("Mrad", new double[] {-3200, 3200}),
          Map.entry("MS", new double[] {0, 110}),
          Map.entry("Pa", new double[] {0, 101_325}),
          Map.entry("C", new double[] {-120, 10_000}),
          Map.entry("Ma", new double[] {0, 10_000}),
          Map.entry("amps", new double[] {0, 5000}),
          Map.entry("spotMm", new double[] {1e-5, 700}),
          Map.entry("Mm", new double[] {-1e7, 1e7}),
          Map.entry("Uncertainty", new double[] {0, 1e5}));

  /** Names of solvers with a document in order. */
  static List<Map.Entry<String, String>> documents() {
    return List.of(
        Map.entry(
            "upkeep",
            """
            {"today":"2026-11-25","counter":[{"date":"2026-11-01","hours":1100},
             {"date":"2026-11-20","hours":1160}],"tasks":[{"id":"lens","everyDays":14,
             "everyHours":40,"lastDate":"2026-11-04","lastHours":1110,"found":["dirty"]}]}
            """),
        Map.entry(
            "fault",
            """
            {"bedMm":[700,500],"fitted":["mirrors"],"scoreResolution":0.1,"priors":{"focus-off":2},
             "places":[{"xMm":10,"yMm":10,"score":1},{"xMm":690,"yMm":10,"score":0.4},
             {"xMm":350,"yMm":250,"score":0.7},{"xMm":10,"yMm":490,"score":1},
             {"xMm":690,"yMm":490,"score":0.4}]}
            """),
        Map.entry(
            "rotary",
            """
            {"kind":"chuck","stepsPerTurn":6400,"workDiameterMm":60,
             "workDiameterUncertaintyMm":0.1,"setStepsPerMm":34,"artworkMm":[100,80],
             "depthMm":1,"toleranceMm":0.5,
             "turn":{"commandedMm":188,"closesByMm":2,"readMm":0.5},
             "length":{"commandedMm":100,"measuredMm":100.5,"readMm":0.5},
             "taper":{"largeDiameterMm":62,"smallDiameterMm":58,"overMm":90}}
            """),
        Map.entry(
            "feed",
            """
            {"feeds":[{"commandedMm":300,"measuredMm":299,"sideMm":0.2},
             {"commandedMm":300,"measuredMm":299.5,"sideMm":0.1}],"readMm":0.5,"pieceMm":1500,
             "windowMm":400,"overlapMm":20,"toleranceMm":1}
            """),
        Map.entry(
            "bed",
            """
            {"points":[{"xMm":0,"yMm":0,"gapMm":6.0},{"xMm":600,"yMm":0,"gapMm":6.6},
             {"xMm":0,"yMm":400,"gapMm":6.3},{"xMm":600,"yMm":400,"gapMm":6.9}],
             "gaugeResolutionMm":0.1,"toleranceMm":0.3,
             "screws":[{"id":"a","xMm":0,"yMm":0,"pitchMm":0.5,"clockwise":"raises"},
             {"id":"b","xMm":600,"yMm":0,"pitchMm":0.5,"clockwise":"raises"},
             {"id":"c","xMm":0,"yMm":400,"pitchMm":0.5,"clockwise":"lowers"}],"keepScrew":null}
            """),
        Map.entry(
            "shims",
            """
            {"points":[{"xMm":0,"yMm":0,"gapMm":180},{"xMm":100,"yMm":0,"gapMm":180.4},
             {"xMm":0,"yMm":100,"gapMm":180}],"gaugeResolutionMm":0.05,"toleranceMm":0.2,
             "feet":[{"id":"l","xMm":0,"yMm":200},{"id":"r","xMm":100,"yMm":200},
             {"id":"b","xMm":0,"yMm":300}]}
            """),
        Map.entry(
            "mirrors",
            """
            {"markResolutionMm":0.5,"apertureMm":16,"toleranceMm":1,"mounts":{
             "1":{"sideways":{"armMm":40,"pitchMm":0.5,"clockwiseMovesBeam":"right"},
              "upDown":{"armMm":40,"pitchMm":0.5,"clockwiseMovesBeam":"up"}},
             "2":{"sideways":{"armMm":40,"pitchMm":0.5,"clockwiseMovesBeam":"right"},
              "upDown":{"armMm":40,"pitchMm":0.5,"clockwiseMovesBeam":"up"}}},
             "marks":[{"at":"mirror-2","pathFrom1Mm":300,"rightMm":0.5,"upMm":1},
              {"at":"mirror-2","pathFrom1Mm":900,"rightMm":1.5,"upMm":2},
              {"at":"head","pathFrom1Mm":500,"pathFrom2Mm":200,"rightMm":1,"upMm":1},
              {"at":"head","pathFrom1Mm":1300,"pathFrom2Mm":1000,"rightMm":3,"upMm":2},
              {"at":"head","pathFrom1Mm":1900,"pathFrom2Mm":1000,"rightMm":4,"upMm":3}]}
            """),
        Map.entry(
            "focus-ramp",
            """
            {"samples":[{"alongMm":10,"lineWidthMm":0.5},{"alongMm":40,"lineWidthMm":0.32},
             {"alongMm":70,"lineWidthMm":0.18},{"alongMm":100,"lineWidthMm":0.15},
             {"alongMm":130,"lineWidthMm":0.2},{"alongMm":160,"lineWidthMm":0.33}],
             "runMm":200,"riseMm":12,"gapAtStartMm":12,"widthResolutionMm":0.02}
            """),
        Map.entry(
            "focus-ladder",
            """
            {"rungs":[{"heightMm":4,"score":2},{"heightMm":5,"score":5},{"heightMm":6,"score":8},
             {"heightMm":7,"score":5.2},{"heightMm":8,"score":2.1}],"resolution":0.5}
            """),
        Map.entry(
            "lens",
            """
            {"wavelengthNm":10600,"focalLengthMm":50.8,"beamDiameterMm":6,"m2":1.2,
             "shape":"meniscus","thicknessMm":6}
            """),
        Map.entry(
            "power-cap",
            """
            {"tubeMaximumMa":28,"capFraction":0.85,"meterResolutionMa":0.5,
             "samples":[{"dialPercent":20,"currentMa":4},{"dialPercent":50,"currentMa":15},
             {"dialPercent":90,"currentMa":27}]}
            """),
        Map.entry(
            "rescale",
            """
            {"before":[{"percent":10,"watts":2},{"percent":50,"watts":35},
             {"percent":100,"watts":80}],"after":[{"percent":10,"watts":1},
             {"percent":50,"watts":28},{"percent":100,"watts":60}],
             "settings":[{"name":"engrave","percent":30,"speedMmS":400},
             {"name":"cut","percent":95,"speedMmS":8}]}
            """),
        Map.entry(
            "field",
            """
            {"fieldMm":110,"resolutionMm":0.05,"toleranceMm":0.1,
             "square":{"commandedMm":90,"measuredAcrossMm":90.4,"measuredUpMm":89.8,
             "edges":"outside","lineWidthMm":0.1}}
            """),
        Map.entry(
            "field",
            """
            {"fieldMm":110,"resolutionMm":0.05,"toleranceMm":0.1,"tableSize":5,
             "points":[{"xMm":-50,"yMm":-50,"measuredXMm":-50.2,"measuredYMm":-50.1},
             {"xMm":0,"yMm":-50,"measuredXMm":0,"measuredYMm":-50.3},
             {"xMm":50,"yMm":-50,"measuredXMm":50.3,"measuredYMm":-50.2},
             {"xMm":-50,"yMm":0,"measuredXMm":-50.1,"measuredYMm":0},
             {"xMm":0,"yMm":0,"measuredXMm":0.1,"measuredYMm":0},
             {"xMm":50,"yMm":0,"measuredXMm":50.2,"measuredYMm":0.1},
             {"xMm":-50,"yMm":50,"measuredXMm":-50.3,"measuredYMm":50.2},
             {"xMm":0,"yMm":50,"measuredXMm":0,"measuredYMm":50.1},
             {"xMm":50,"yMm":50,"measuredXMm":50.1,"measuredYMm":50.3}]}
            """),
        Map.entry(
            "site",
            """
            {"air":{"temperatureC":24,"relativeHumidityPercent":60,"coolantC":20},
             "circuit":{"volts":230,"breakerA":16,"continuousShare":0.8,
              "loads":[{"name":"laser","watts":1200},{"name":"chiller","watts":900}]},
             "bucket":{"litres":20,"startC":20,"limitC":25,"airC":24,"heatW":700,"lossWPerK":8},
             "duct":{"diameterMm":150,"lengthM":6,"bends90":3,"roughnessMm":0.1,"flowM3H":400,
              "fanCurve":[{"flowM3H":0,"pressurePa":400},{"flowM3H":900,"pressurePa":0}]},
             "coldest":{"lowestC":-10,"glycol":"propylene","loopLitres":8},
             "eyewear":{"wavelengthNm":10600,"powerW":90,"beamDiameterMm":5,"exposureS":10,
              "filters":[{"fromNm":9000,"toNm":11000,"opticalDensity":6}]}}
            """));
  }

  @ParameterizedTest
  @MethodSource("documents")
  void figuresThatCanExistOrOneLine(Map.Entry<String, String> document) throws IOException {
    Random random = new Random(document.getValue().hashCode());
    StringBuilder lines = new StringBuilder();
    for (int i = 0; i < MUTATIONS; i++) {
      JsonNode tree = JSON.readTree(document.getValue());
      for (int k = random.nextInt(3); k >= 0; k--) {
        mutate(tree, random);
      }
      lines.append(JSON.writeValueAsString(tree)).append('\n');
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    new SolveCommand(StationList.solvers())
        .run(
            document.getKey(),
            true,
            new ByteArrayInputStream(lines.toString().getBytes(StandardCharsets.UTF_8)),
            new PrintStream(out, true, StandardCharsets.UTF_8),
            System.err);
    List<String> asked = lines.toString().lines().toList();
    List<String> answered = out.toString(StandardCharsets.UTF_8).lines().toList();
    assertThat(answered).hasSize(MUTATIONS);
    int answers = 0;
    for (int i = 0; i < MUTATIONS; i++) {
      JsonNode answer = JSON.readTree(answered.get(i));
      if (answer.has("error")) {
        assertThat(answer.get("error").asText())
            .as(asked.get(i))
            .endsWith(".")
            .doesNotContain("\n", "no finite answer");
      } else {
        answers++;
        check("", answer, asked.get(i));
      }
    }
    assertThat(answers).as("answers among them").isGreaterThan(MUTATIONS / 20);
  }

  private static void mutate(JsonNode tree, Random random) {
    List<Consumer<Double>> places = new ArrayList<>();
    List<Double> values = new ArrayList<>();
    numbers(tree, places, values);
    int at = random.nextInt(places.size());
    double value = values.get(at);
    double now =
        switch (random.nextInt(6)) {
          case 0 -> 0;
          case 1 -> -value;
          case 2 -> value * (1 + random.nextGaussian() / 2);
          case 3 -> random.nextBoolean() ? Double.MIN_VALUE : Double.MAX_VALUE;
          default -> value * Math.pow(10, POWERS[random.nextInt(POWERS.length)]);
        };
    places.get(at).accept(now);
  }

  private static void numbers(JsonNode node, List<Consumer<Double>> places, List<Double> values) {
    if (node instanceof ObjectNode object) {
      for (Map.Entry<String, JsonNode> field : object.properties()) {
        if (field.getValue().isNumber()) {
          values.add(field.getValue().doubleValue());
          places.add(d -> object.set(field.getKey(), DoubleNode.valueOf(d)));
        }
        numbers(field.getValue(), places, values);
      }
    } else if (node instanceof ArrayNode array) {
      array.forEach(child -> numbers(child, places, values));
    }
  }

  private static void check(String name, JsonNode answer, String asked) {
    if (answer.isNumber()) {
      POSSIBLE.entrySet().stream()
          .filter(e -> name.endsWith(e.getKey()))
          .max(java.util.Comparator.comparingInt(e -> e.getKey().length()))
          .ifPresent(e ->
              assertThat(answer.doubleValue())
                  .as(name + " of " + asked)
                  .isBetween(e.getValue()[0], e.getValue()[1]));
    }
    answer.properties().forEach(field -> check(field.getKey(), field.getValue(), asked));
    if (answer.isArray()) {
      answer.forEach(child -> check(name, child, asked));
    }
  }
}
