package zebrawood.controller;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.controller.ControllerFinding.Severity;
import zebrawood.controller.ControllerFinding.Value;
import zebrawood.controller.ControllerReadings.JobSoftware;
import zebrawood.controller.ControllerReadings.Laser;
import zebrawood.controller.ControllerReadings.MachineFacts;
import zebrawood.controller.ControllerReadings.Policy;
import zebrawood.controller.ControllerReadings.Units;
import zebrawood.controller.Dialect.PrintedRole;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;

class AuditTest {
  private static final Map<String, String> RIGHT = new LinkedHashMap<>();

  static {
    RIGHT.put("tell", "mm");
    RIGHT.put("soft", "1");
    RIGHT.put("hard", "1");
    RIGHT.put("seek", "1");
    RIGHT.put("corner", "fl");
    RIGHT.put("top", "1000");
    RIGHT.put("least", "0");
    RIGHT.put("follow", "1");
    RIGHT.put("reach_x", "400.000");
    RIGHT.put("reach_y", "300.000");
  }

  private static ControllerReadings readings(
      Dialect dialect, String text, boolean switches, double softwareTop, Policy policy) {
    return new ControllerReadings(
        dialect,
        text,
        new MachineFacts(List.of(400.0, 300.0), Corner.FRONT_LEFT, switches, Laser.DIODE),
        new JobSoftware(
            softwareTop,
            "M8",
            Units.MM,
            Optional.of(List.of(400.0, 300.0)),
            Optional.of(Corner.FRONT_LEFT)),
        "M8",
        policy);
  }

  private static String text(Map<String, String> values) {
    StringBuilder text = new StringBuilder("Ready\r\n");
    values.forEach((k, v) -> text.append(k).append(": ").append(v).append(" # as set\r\n"));
    return text.append("end\r\n").toString();
  }

  /** Names and values in turn; null takes a line away. */
  private static Map<String, String> with(String... pairs) {
    Map<String, String> values = new LinkedHashMap<>(RIGHT);
    for (int i = 0; i < pairs.length; i += 2) {
      if (pairs[i + 1] == null) {
        values.remove(pairs[i]);
      } else {
        values.put(pairs[i], pairs[i + 1]);
      }
    }
    return values;
  }

  private static ControllerFinding solve(boolean switches, String... pairs) {
    return Audit.solve(
        readings(Dialects.TERSE, text(with(pairs)), switches, 1000, Policy.MATCH_SOFTWARE));
  }

  private static List<String> lines(ControllerFinding f) {
    return f.writes().stream().map(Write::line).toList();
  }

  private static Severity severity(ControllerFinding f, String id) {
    return f.item(id).orElseThrow().severity();
  }

  private static Object observed(ControllerFinding f, String id) {
    return f.item(id).orElseThrow().observed().plainValue();
  }

  private static Object advised(ControllerFinding f, String id) {
    return f.item(id).orElseThrow().advised().plainValue();
  }

  @Test
  void whatFitsIsLeft() {
    ControllerFinding f = solve(true);
    assertThat(f.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(f.findings()).hasSize(12).allMatch(i -> i.severity() == Severity.NOTE);
    assertThat(f.writes()).isEmpty();
    assertThat(f.warnings()).isEmpty();
    assertThat(f.effectiveFullPower()).hasValue(1);
    assertThat(f.item("travel").orElseThrow().setting().plainValue()).isEqualTo("reach_x,reach_y");
    assertThat(observed(f, "travel")).isEqualTo(List.of(400.0, 300.0));
    assertThat(f.item("air-assist").orElseThrow().setting().plainValue()).isNull();
  }

  /** 1000 words asked of a controller that takes 4000: a quarter; least 51: dead to 5 %. */
  @Test
  void aQuarterOfTheLaserIsSaidAndPutRightOnTheSideChosen() {
    ControllerFinding f = solve(true, "top", "4000");
    assertThat(f.effectiveFullPower().orElseThrow()).isCloseTo(0.25, within(1e-12));
    assertThat(f.saturatesAtPercent()).hasValue(100);
    var rows = f.powerTable().rows().orElseThrow();
    assertThat(rows).hasSize(11);
    assertThat(rows.get(4).dutyPercent()).isCloseTo(10, within(1e-12));
    assertThat(lines(f)).containsExactly("set top 1000");
    ControllerFinding other =
        Audit.solve(
            readings(
                Dialects.TERSE, text(with("top", "4000")), true, 1000, Policy.MATCH_CONTROLLER));
    assertThat(other.writes()).isEmpty();
    assertThat(advised(other, "power-word-scale")).isEqualTo(4000.0);
    assertThat(other.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(other.advice(ENGLISH).getFirst()).contains("job software to 4000");
    ControllerFinding flat = solve(true, "top", "255", "least", "51");
    assertThat(flat.saturatesAtPercent().orElseThrow()).isCloseTo(25.5, within(1e-12));
    assertThat(flat.powerTable().rows().orElseThrow().get(1).dutyPercent())
        .isCloseTo(100 * (100 - 51) / 204.0, within(1e-9));
    assertThat(lines(flat)).containsExactly("set least 0", "set top 1000");
    ControllerFinding dead = solve(true, "top", "100", "least", "100");
    assertThat(dead.effectiveFullPower()).hasValue(0);
    assertThat(dead.saturatesAtPercent()).hasValue(100);
    assertThat(dead.powerTable().rows().orElseThrow()).allMatch(r -> r.dutyPercent() == 0);
  }

  @Test
  void withoutATopWordNobodyKnowsTheShare() {
    ControllerFinding f = solve(true, "top", null, "hard", "0");
    assertThat(f.effectiveFullPower()).isEmpty();
    assertThat(f.powerTable().plainValue()).isNull();
    assertThat(f.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(solve(true, "top", "lots").warnings(ENGLISH))
        .anyMatch(w -> w.contains("\"lots\"") || w.contains("lots"));
    assertThat(observed(solve(true, "top", "lots"), "power-word-scale")).isEqualTo("lots");
    assertThat(solve(true, "top", null, "follow", "0").verdict()).isEqualTo(Verdict.STOP);
  }

  @Test
  void whatCanHurtStopsAndTheRestIsToBeAdjusted() {
    ControllerFinding f = solve(true, "follow", "0", "hard", "0", "tell", "in");
    assertThat(f.verdict()).isEqualTo(Verdict.STOP);
    assertThat(severity(f, "laser-mode")).isEqualTo(Severity.STOP);
    assertThat(severity(f, "hard-limits")).isEqualTo(Severity.ADJUST);
    assertThat(severity(f, "units")).as("never more than a note").isEqualTo(Severity.NOTE);
    assertThat(lines(f)).containsExactly("set follow 1", "set hard 1");
    ControllerFinding soft = solve(true, "seek", "0");
    assertThat(severity(soft, "soft-limits")).isEqualTo(Severity.STOP);
    assertThat(advised(soft, "soft-limits")).isEqualTo("on");
    assertThat(lines(soft)).containsExactly("set seek 1");
    ControllerFinding unreported = solve(true, "seek", null);
    assertThat(severity(unreported, "soft-limits")).isEqualTo(Severity.STOP);
    assertThat(severity(unreported, "homing")).isEqualTo(Severity.NOTE);
    assertThat(lines(unreported)).containsExactly("set seek 1");
    ControllerFinding strange = solve(true, "seek", "perhaps");
    assertThat(lines(strange)).as("what is not understood is left").containsExactly("set soft 0");
    assertThat(strange.warnings(ENGLISH)).anyMatch(w -> w.contains("perhaps"));
  }

  @Test
  void nothingIsEnabledThatNeedsASwitch() {
    ControllerFinding f = solve(false);
    assertThat(lines(f)).containsExactly("set soft 0", "set hard 0", "set seek 0");
    ControllerFinding bare = solve(false, "soft", "0", "hard", "0", "seek", "0", "corner", "rr");
    assertThat(bare.writes()).isEmpty();
    assertThat(bare.verdict()).isEqualTo(Verdict.WITHIN);
  }

  @Test
  void homingWaitsForACornerThatCannotBeWritten() {
    Map<String, PrintedRole> roles = new LinkedHashMap<>(Dialects.TERSE.roles());
    roles.put("home-corner", PrintedRole.choice("corner", Map.of("rear-right", "rr")));
    Dialect poor =
        new Dialect(
            "Poor",
            "{key}: {value}",
            "set {key} {value}",
            Optional.of(List.of("#")),
            roles,
            Optional.empty());
    ControllerFinding f =
        Audit.solve(
            readings(
                poor,
                text(with("corner", "rr", "seek", "0", "soft", "0")),
                true,
                1000,
                Policy.MATCH_SOFTWARE));
    assertThat(f.writes()).isEmpty();
    assertThat(f.warnings(ENGLISH))
        .anyMatch(w -> w.contains("home corner is set to \"front left\" is not known"))
        .anyMatch(w -> w.contains("wrong corner"));
    assertThat(severity(f, "soft-limits")).isEqualTo(Severity.NOTE);
    roles.put("home-corner", Dialects.TERSE.roles().get("home-corner"));
    roles.put("soft-limits", PrintedRole.choice("soft", Map.of("on", "1")));
    Dialect noOff =
        new Dialect(
            "Poor",
            "{key}: {value}",
            "set {key} {value}",
            Optional.of(List.of("#")),
            roles,
            Optional.empty());
    ControllerFinding stays =
        Audit.solve(readings(noOff, text(RIGHT), false, 1000, Policy.MATCH_SOFTWARE));
    assertThat(lines(stays)).as("homing stays while soft limits do").containsExactly("set hard 0");
  }

  @Test
  void aFactorOfInchesIsNamedAndNeverWritten() {
    ControllerFinding f = solve(true, "reach_x", "15.748", "reach_y", "11.811");
    assertThat(severity(f, "travel")).isEqualTo(Severity.ADJUST);
    assertThat(f.writes()).isEmpty();
    assertThat(f.advice(ENGLISH).getFirst()).contains("inches");
    assertThat(lines(solve(true, "reach_x", "390"))).containsExactly("set reach_x 400");
  }

  @Test
  void linesAreReadAsConsolesShowThem() {
    Dialect wordy =
        new Dialect(
            "Wordy",
            "<{key}  is {value}>",
            "make {key} {value}",
            Optional.of(List.of("//", "(")),
            Map.of(
                "top-power-word", PrintedRole.number("beam is top"),
                "homing", PrintedRole.choice("seek", Map.of("on", "Yes", "off", "No"))),
            Optional.empty());
    Settings s =
        Settings.parse(
            "hello\n< beam is top   is\t400.0 >  // 1\n<seek is YES>(a)\n<other is a is b>\n<seek  is no>\n",
            wordy);
    assertThat(s.keys()).containsExactly("beam is top", "seek", "other");
    assertThat(s.number(Role.TOP_POWER_WORD, 0, 1e9)).hasValue(400);
    assertThat(s.meaning(Role.HOMING)).as("the last of two counts").contains("off");
    assertThat(s.values().get("other")).isEqualTo("a is b");
    assertThatThrownBy(() -> Settings.parse("nothing\n", wordy))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("without any setting");
    assertThatThrownBy(() -> solve(true, "top", "-5")).hasMessageContaining("-5");
  }

  @Test
  void whatAConsolePutsBeforeALineIsTakenAway() {
    String copied =
        "[12:03:11.250] > top: 400\n12:03:12 RX: seek: 1\n>>> least: 5 # as set\n> set top 7\nfollow: 1";
    String plain = ConsoleLines.plain(copied, Dialects.TERSE);
    Settings s = Settings.parse(plain, Dialects.TERSE);
    assertThat(s.printed(Role.TOP_POWER_WORD)).contains("400");
    assertThat(s.printed(Role.HOMING)).contains("1");
    assertThat(s.printed(Role.LEAST_POWER_WORD)).contains("5");
    assertThat(plain).as("what sends is no setting").contains("> set top 7");
  }

  @Test
  void aDialectThatCannotBeIsRefusedWithEveryReason() {
    assertThatThrownBy(() ->
            new Dialect(
                " ",
                "{key} only",
                "no place",
                Optional.empty(),
                Map.of(
                    "homing", PrintedRole.number("a"),
                    "travel-x", PrintedRole.choice("b", Map.of()),
                    "travel-y", PrintedRole.number("a"),
                    "magic", PrintedRole.number("c")),
                Optional.empty()))
        .isInstanceOfSatisfying(
            UnusableReading.class,
            e ->
                assertThat(e.complaints())
                    .extracting(UnusableReading.Complaint::field)
                    .contains(
                        "name",
                        "settingLine",
                        "writeLine",
                        "roles.homing.values",
                        "roles.travel-x.values",
                        "roles.magic"));
    assertThatThrownBy(() ->
            new Dialect(
                "Two",
                "{key}={value}",
                "{key}={value}",
                Optional.empty(),
                Map.of("homing", PrintedRole.choice("a", Map.of("on", "1", "off", "1.0"))),
                Optional.empty()))
        .hasMessageContaining("differs");
  }

  /** Random machines: what is written one by one never makes a state that is worse. */
  @Test
  void noWriteMakesItWorse() {
    Random random = new Random(11);
    int written = 0;
    for (int n = 0; n < 4_000; n++) {
      Map<String, String> values = randomValues(random);
      Dialect dialect = poorer(random);
      boolean switches = random.nextBoolean();
      double software = List.of(255.0, 1000.0, 4000.0).get(random.nextInt(3));
      ControllerReadings r =
          readings(
              dialect,
              text(values),
              switches,
              software,
              random.nextBoolean() ? Policy.MATCH_SOFTWARE : Policy.MATCH_CONTROLLER);
      ControllerFinding f = Audit.solve(r);
      assertThat(f.findings()).hasSize(12);
      Map<String, String> state = new HashMap<>(values);
      for (Write write : f.writes()) {
        written++;
        String[] words = write.line().split(" ");
        Map<String, String> before = Map.copyOf(state);
        assertThat(understood(dialect, words[1], before.get(words[1])))
            .as("%s of %s", write.line(), values)
            .isTrue();
        state.put(words[1], words[2]);
        assertThat(harm(state, switches, dialect))
            .isLessThanOrEqualTo(harm(before, switches, dialect));
      }
      boolean laserOff =
          means(dialect, "laser-follows-motion", "off") && "0".equals(values.get("follow"));
      boolean blind =
          means(dialect, "soft-limits", "on")
              && "1".equals(values.get("soft"))
              && !(means(dialect, "homing", "on") && "1".equals(values.get("seek")));
      assertThat(f.verdict() == Verdict.STOP).as("%s", values).isEqualTo(laserOff || blind);
      if (f.effectiveFullPower().isPresent()) {
        double top = Double.parseDouble(values.get("top"));
        double least =
            dialect.key(Role.LEAST_POWER_WORD).isPresent() && values.containsKey("least")
                ? Double.parseDouble(values.get("least"))
                : 0;
        double share =
            top > least ? Math.min(1, Math.max(0, (software - least) / (top - least))) : 0;
        assertThat(f.effectiveFullPower().getAsDouble()).isCloseTo(share, within(1e-12));
      }
    }
    assertThat(written).isGreaterThan(4_000);
  }

  private static boolean means(Dialect dialect, String role, String meaning) {
    return dialect.roles().containsKey(role)
        && dialect.roles().get(role).values().orElseThrow().containsKey(meaning);
  }

  /** A value that is not there was not reported; one that is listed or a number is understood. */
  private static boolean understood(Dialect dialect, String key, String value) {
    return value == null
        || dialect.roles().values().stream()
            .filter(said -> said.key().equals(key))
            .allMatch(said ->
                said.values().isEmpty()
                    ? value.matches("[\\d.]+")
                    : said.values().get().containsValue(value));
  }

  /** How many things are wrong that can crash or burn. */
  private static int harm(Map<String, String> state, boolean switches, Dialect dialect) {
    int harm = 0;
    harm += "0".equals(state.get("follow")) ? 1 : 0;
    harm += "1".equals(state.get("soft")) && !"1".equals(state.get("seek")) ? 1 : 0;
    harm += "1".equals(state.get("seek")) && (!switches || wrongCorner(state, dialect)) ? 1 : 0;
    harm += "1".equals(state.get("hard")) && !switches ? 1 : 0;
    return harm;
  }

  private static boolean wrongCorner(Map<String, String> state, Dialect dialect) {
    return dialect.key(Role.HOME_CORNER).isPresent()
        && dialect.meaning(Role.HOME_CORNER, String.valueOf(state.get("corner"))).isPresent()
        && !"fl".equals(state.get("corner"));
  }

  private static Map<String, String> randomValues(Random random) {
    Map<String, String> values = new LinkedHashMap<>();
    for (String key : List.of("soft", "hard", "seek", "follow")) {
      int which = random.nextInt(10);
      if (which < 9) {
        values.put(key, which == 8 ? "odd" : which % 2 == 0 ? "1" : "0");
      }
    }
    values.put("corner", List.of("fl", "fr", "rl", "rr", "odd").get(random.nextInt(5)));
    values.put("top", List.of("255", "1000", "4000").get(random.nextInt(3)));
    if (random.nextInt(4) > 0) {
      values.put("least", List.of("0", "0", "20", "300").get(random.nextInt(4)));
    }
    values.put("reach_x", List.of("400", "400.00", "390").get(random.nextInt(3)));
    values.put("reach_y", List.of("300", "310").get(random.nextInt(2)));
    return values;
  }

  /** With roles and meanings that nobody named. */
  private static Dialect poorer(Random random) {
    Map<String, PrintedRole> roles = new LinkedHashMap<>();
    Dialects.TERSE
        .roles()
        .forEach((role, said) -> {
          if (random.nextInt(8) > 0) {
            Map<String, String> values = new LinkedHashMap<>(said.values().orElse(Map.of()));
            values.keySet().removeIf(m -> random.nextInt(10) == 0 && random.nextBoolean());
            roles.put(
                role, said.values().isPresent() ? PrintedRole.choice(said.key(), values) : said);
          }
        });
    return new Dialect(
        "Poor",
        "{key}: {value}",
        "set {key} {value}",
        Optional.of(List.of("#")),
        roles,
        Optional.empty());
  }

  @Test
  void valuesAreSaidAsPeopleReadThem() {
    assertThat(ENGLISH.say(new Value.Word("front-left").said())).isEqualTo("front left");
    assertThat(ENGLISH.say(Value.two(400, 300).said())).isEqualTo("400 × 300");
  }

  /** 150 of 400 mm: nobody reads that of the same machine. */
  @Test
  void aWorkAreaUnlikeTheTravelIsQuestioned() {
    assertThat(questioned(400, 300)).isFalse();
    assertThat(questioned(390, 280)).isFalse();
    assertThat(questioned(150, 300)).isTrue();
    assertThat(questioned(400, 700)).isTrue();
  }

  private static boolean questioned(double x, double y) {
    ControllerReadings r = readings(Dialects.TERSE, text(RIGHT), true, 1000, Policy.MATCH_SOFTWARE);
    return Audit.solve(
            new ControllerReadings(
                r.dialect(),
                r.settings(),
                r.machine(),
                new JobSoftware(1000, "M8", Units.MM, Optional.of(List.of(x, y)), Optional.empty()),
                r.wiredAirAssistCode(),
                r.policy()))
        .warnings()
        .stream()
        .anyMatch(w -> w.key().equals("controller.audit.area-unlike"));
  }
}
