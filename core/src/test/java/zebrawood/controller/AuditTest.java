package zebrawood.controller;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import zebrawood.controller.ControllerFinding.Severity;
import zebrawood.controller.ControllerFinding.Value;
import zebrawood.controller.ControllerReadings.AirCode;
import zebrawood.controller.ControllerReadings.JobSoftware;
import zebrawood.controller.ControllerReadings.Laser;
import zebrawood.controller.ControllerReadings.MachineFacts;
import zebrawood.controller.ControllerReadings.Policy;
import zebrawood.controller.ControllerReadings.Units;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;

class AuditTest {
  private static final Map<Integer, String> RIGHT =
      Map.of(
          13, "0", 20, "1", 21, "1", 22, "1", 23, "3", 30, "1000", 31, "0", 32, "1", 130, "400.000",
          131, "300.000");

  private static ControllerReadings readings(
      Map<Integer, String> values, boolean switches, double softwareTop, Policy policy) {
    StringBuilder dump = new StringBuilder("Ready ['$' for help]\r\n");
    values.forEach((n, v) -> dump.append('$').append(n).append('=').append(v).append("\r\n"));
    return new ControllerReadings(
        dump.append("ok\r\n").toString(),
        new MachineFacts(List.of(400.0, 300.0), Corner.FRONT_LEFT, switches, Laser.DIODE),
        new JobSoftware(softwareTop, AirCode.M8, Units.MM, Optional.empty(), Optional.empty()),
        AirCode.M8,
        policy);
  }

  private static Map<Integer, String> with(Object... pairs) {
    Map<Integer, String> values = new TreeMap<>(RIGHT);
    for (int i = 0; i < pairs.length; i += 2) {
      if (pairs[i + 1] == null) {
        values.remove((Integer) pairs[i]);
      } else {
        values.put((Integer) pairs[i], (String) pairs[i + 1]);
      }
    }
    return values;
  }

  private static ControllerFinding solve(Map<Integer, String> values) {
    return Audit.solve(readings(values, true, 1000, Policy.MATCH_SOFTWARE));
  }

  private static Severity severity(ControllerFinding f, String id) {
    return f.item(id).orElseThrow().severity();
  }

  @Test
  void whatFitsIsLeft() {
    ControllerFinding f = solve(RIGHT);
    assertThat(f.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(f.findings()).hasSize(10).allMatch(i -> i.severity() == Severity.NOTE);
    assertThat(f.writes()).isEmpty();
    assertThat(f.effectiveFullPower()).hasValue(1);
  }

  /** 1000 words asked of a controller that takes 4000: a quarter; least 200: dead to 20 %. */
  @Test
  void aQuarterOfTheLaserIsSaidAndPutRightOnTheSideChosen() {
    Map<Integer, String> quarter = with(30, "4000");
    ControllerFinding f = solve(quarter);
    assertThat(f.effectiveFullPower().orElseThrow()).isCloseTo(0.25, within(1e-12));
    assertThat(f.saturatesAtPercent()).hasValue(100);
    assertThat(f.powerTable()).hasSize(11);
    assertThat(f.powerTable().get(4).dutyPercent().orElseThrow()).isCloseTo(10, within(1e-12));
    assertThat(f.writes()).containsExactly("$30=1000");
    ControllerFinding other = Audit.solve(readings(quarter, true, 1000, Policy.MATCH_CONTROLLER));
    assertThat(other.writes()).isEmpty();
    assertThat(other.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(other.advice(ENGLISH).getFirst()).contains("job software to 4000");
    ControllerFinding flat = solve(with(30, "255", 31, "51"));
    assertThat(flat.saturatesAtPercent().orElseThrow()).isCloseTo(25.5, within(1e-12));
    assertThat(flat.powerTable().get(1).dutyPercent().orElseThrow())
        .isCloseTo(100 * (100 - 51) / 204.0, within(1e-9));
    assertThat(flat.writes()).containsExactly("$31=0", "$30=1000");
  }

  @Test
  void whatCanHurtStopsAndTheRestIsToBeAdjusted() {
    ControllerFinding f = solve(with(32, "0", 21, "0", 13, "1"));
    assertThat(f.verdict()).isEqualTo(Verdict.STOP);
    assertThat(severity(f, "laser-mode")).isEqualTo(Severity.STOP);
    assertThat(severity(f, "hard-limits")).isEqualTo(Severity.ADJUST);
    assertThat(f.writes()).containsExactly("$32=1", "$13=0", "$21=1");
    assertThat(f.advice(ENGLISH).getFirst()).startsWith("Let the laser follow the motion");
    ControllerFinding soft = solve(with(22, "0"));
    assertThat(severity(soft, "soft-limits")).isEqualTo(Severity.STOP);
    assertThat(soft.writes()).containsExactly("$22=1");
  }

  @Test
  void nothingIsEnabledThatNeedsASwitch() {
    Map<Integer, String> shipped = with(20, "0", 21, "0", 22, "0", 23, "0");
    ControllerFinding without = Audit.solve(readings(shipped, false, 1000, Policy.MATCH_SOFTWARE));
    assertThat(without.writes()).isEmpty();
    assertThat(without.verdict()).isEqualTo(Verdict.WITHIN);
    ControllerFinding on = Audit.solve(readings(RIGHT, false, 1000, Policy.MATCH_SOFTWARE));
    assertThat(on.writes()).containsExactly("$20=0", "$21=0", "$22=0");
  }

  @Test
  void theCornerOfEveryMaskAndTheHighBitStays() {
    assertThat(Corner.ofMask(3)).isEqualTo(Corner.FRONT_LEFT);
    assertThat(Corner.ofMask(0)).isEqualTo(Corner.REAR_RIGHT);
    for (Corner corner : Corner.values()) {
      assertThat(Corner.ofMask(corner.homingBits())).isEqualTo(corner);
    }
    ControllerFinding f = solve(with(23, "4"));
    assertThat(f.item("home-corner").orElseThrow().advised()).isEqualTo(new Value.Number(7));
    assertThat(ENGLISH.sentence(f.item("home-corner").orElseThrow().why()))
        .contains("rear right", "front left");
  }

  @Test
  void whatWasNotReportedIsANoteAndThePowerUnknown() {
    ControllerFinding f = solve(with(30, null, 23, null, 130, null));
    assertThat(f.effectiveFullPower()).isEmpty();
    assertThat(f.powerTable()).hasSize(11).allMatch(r -> r.dutyPercent().isEmpty());
    assertThat(f.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(f.item("home-corner").orElseThrow().observed()).isEqualTo(new Value.Nothing());
    assertThat(f.writes()).isEmpty();
    assertThat(severity(f, "travel")).as("the other axis is right").isEqualTo(Severity.NOTE);
  }

  @Test
  void theSoftwareIsComparedToo() {
    ControllerReadings r =
        new ControllerReadings(
            "$30=1000",
            new MachineFacts(List.of(400.0, 300.0), Corner.FRONT_LEFT, true, Laser.CO2),
            new JobSoftware(
                1000,
                AirCode.M7,
                Units.INCH,
                Optional.of(List.of(410.0, 300.0)),
                Optional.of(Corner.REAR_LEFT)),
            AirCode.M8,
            Policy.MATCH_CONTROLLER);
    ControllerFinding f = Audit.solve(r);
    assertThat(f.findings()).hasSize(12);
    assertThat(f.item("work-area").orElseThrow().severity()).isEqualTo(Severity.ADJUST);
    assertThat(f.item("origin").orElseThrow().advised()).isEqualTo(new Value.Word("front-left"));
    assertThat(f.item("air-assist").orElseThrow().advised().plainValue()).isEqualTo("M8");
    assertThat(f.writes()).isEmpty();
  }

  /**
   * The writes are sent one by one to a model of the rules: soft limits never come to be on without
   * homing, the least word never reaches the top one, nothing needs a missing switch; at the end
   * the audit finds nothing more to write.
   */
  @Test
  void everyStepIsSafeAndTheLastLeavesNothingToWrite() {
    Random random = new Random(4);
    String[] flags = {"0", "1"};
    for (int round = 0; round < 20_000; round++) {
      Map<Integer, String> values = new LinkedHashMap<>();
      List<Integer> numbers = new ArrayList<>(List.of(13, 20, 21, 22, 23, 30, 31, 32, 130, 131));
      Collections.shuffle(numbers, random);
      for (int n : numbers) {
        if (random.nextInt(8) > 0) {
          values.put(
              n,
              switch (n) {
                case 23 -> String.valueOf(random.nextInt(8));
                case 30 -> String.valueOf(256 + random.nextInt(20_000));
                case 31 -> String.valueOf(random.nextInt(3) * 120);
                case 130, 131 -> random.nextBoolean() ? "400" : "300.000";
                default -> flags[random.nextInt(2)];
              });
        }
      }
      if (values.isEmpty()) {
        continue;
      }
      boolean switches = random.nextBoolean();
      double top = 50 + random.nextInt(2000);
      ControllerFinding f = Audit.solve(readings(values, switches, top, Policy.MATCH_SOFTWARE));
      Map<Integer, String> now = new TreeMap<>(values);
      boolean unguarded = unguarded(now);
      for (String write : f.writes()) {
        String[] parts = write.substring(1).split("=");
        now.put(Integer.parseInt(parts[0]), parts[1]);
        assertThat(unguarded(now) && !unguarded).as("%s of %s", write, values).isFalse();
        unguarded = unguarded(now);
        if (now.containsKey(30) && now.containsKey(31)) {
          assertThat(Double.parseDouble(now.get(31))).isLessThan(Double.parseDouble(now.get(30)));
        }
        if (!switches && !parts[1].equals("0")) {
          assertThat(parts[0]).isNotIn("20", "21", "22");
        }
      }
      if (!f.writes().isEmpty()) {
        assertThat(Audit.solve(readings(now, switches, top, Policy.MATCH_SOFTWARE)).writes())
            .as("%s after %s", values, f.writes())
            .isEmpty();
      }
      assertThat(unguarded).isFalse();
    }
  }

  private static boolean unguarded(Map<Integer, String> now) {
    return "1".equals(now.get(20)) && "0".equals(now.get(22));
  }

  @Test
  void refusalsSayWhatIsAccepted() {
    assertThatThrownBy(() -> solve(with(30, "abc")))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("$30=abc");
    assertThatThrownBy(() -> solve(with(31, "1000"))).hasMessageContaining("less than $30");
    assertThatThrownBy(() -> solve(with(23, "-1"))).hasMessageContaining("from 0 to 255");
    assertThatThrownBy(() -> Settings.parse("ok\nok"))
        .hasMessageContaining("accepted is lines like $30=1000");
    assertThatThrownBy(() -> new MachineFacts(List.of(400.0), Corner.FRONT_LEFT, true, Laser.UV))
        .hasMessageContaining("travelMm is 1 numbers");
    assertThatThrownBy(
            () -> new MachineFacts(List.of(400.0, Double.NaN), Corner.FRONT_LEFT, true, Laser.UV))
        .hasMessageContaining("travelMm[1]");
  }

  @Test
  void strangeLinesArePassedOverAndTheLastOfTwoCounts() {
    Settings s =
        Settings.parse(
            "\u0000garbage$30\n[MSG:x]\n$30=250 (top word)\n  $30 = 1000,5 ; later\n$74=Workshop net\n$N0=G21\n$132");
    assertThat(s.number(30, 0, 1e9)).hasValue(1000.5);
    assertThat(s.values()).containsOnlyKeys(30, 74);
    assertThat(Settings.parse(s.dump())).isEqualTo(s);
    assertThat(Settings.same("400", "400.000")).isTrue();
    assertThat(Settings.same("400", "400.1")).isFalse();
    assertThat(Settings.same("Net", "net ")).isTrue();
  }

  /** More of them with -Dzebrawood.dumps. */
  private static final int DUMPS = Integer.getInteger("zebrawood.dumps", 50_000);

  @Test
  void mutatedDumpsAreReadOrRefusedInWords() {
    Random random = new Random(8);
    String dump = new Settings(new TreeMap<>(RIGHT)).dump();
    for (int i = 0; i < DUMPS; i++) {
      StringBuilder mutated = new StringBuilder(dump);
      for (int k = random.nextInt(12); k >= 0; k--) {
        mutated.setCharAt(random.nextInt(mutated.length()), (char) random.nextInt(300));
      }
      try {
        Audit.solve(
            new ControllerReadings(
                mutated.toString(),
                new MachineFacts(List.of(400.0, 300.0), Corner.FRONT_LEFT, true, Laser.DIODE),
                new JobSoftware(1000, AirCode.M8, Units.MM, Optional.empty(), Optional.empty()),
                AirCode.M8,
                Policy.MATCH_SOFTWARE));
      } catch (UnusableReading e) {
        assertThat(e.getMessage()).contains("accepted is");
      }
    }
  }
}
