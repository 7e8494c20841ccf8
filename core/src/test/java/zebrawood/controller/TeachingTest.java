package zebrawood.controller;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.controller.Teaching.Facts;
import zebrawood.controller.Teaching.Proposal;
import zebrawood.controller.Teaching.Proposals;

class TeachingTest {
  private static Proposals propose(String... lines) {
    return Teaching.propose(
        String.join("\n", lines),
        false,
        new Facts(List.of(400.0, 300.0), true, OptionalDouble.of(1000), List.of()));
  }

  private static String key(Proposals p, Role role) {
    return p.roles().stream()
        .filter(r -> r.role() == role)
        .map(Proposal::key)
        .findFirst()
        .orElse("");
  }

  @Test
  void valuesAndWordsBesideThemSpeakForARole() {
    Proposals p =
        propose(
            "hello there",
            "p12 = 400.000   -- how far",
            "p13 = 300.000   -- how far",
            "p20 = 1   -- homing cycle",
            "p21 = 0   -- soft limits",
            "p30 = 1000   -- words",
            "p44 = 7   -- colour");
    assertThat(p.settingLine()).contains("{key} = {value}");
    assertThat(p.remark()).contains("--");
    assertThat(key(p, Role.TRAVEL_X)).isEqualTo("p12");
    assertThat(key(p, Role.TRAVEL_Y)).isEqualTo("p13");
    assertThat(key(p, Role.TOP_POWER_WORD)).isEqualTo("p30");
    assertThat(key(p, Role.HOMING)).isEqualTo("p20");
    assertThat(key(p, Role.SOFT_LIMITS)).isEqualTo("p21");
    assertThat(p.roles().stream().filter(r -> r.role() == Role.HOMING).findFirst().orElseThrow())
        .satisfies(r -> assertThat(r.values()).isEqualTo(Map.of("on", "1", "off", "0")));
    assertThat(p.roles()).noneMatch(r -> r.key().equals("p44"));
  }

  @Test
  void theLineWithTheFewestOtherWordsIsTaken() {
    Proposals p =
        propose(
            "beam temperature watch in motion = 0",
            "beam motion = 1",
            "full power of the pump = 9",
            "full power = 4000");
    assertThat(key(p, Role.LASER_FOLLOWS_MOTION)).isEqualTo("beam motion");
    assertThat(key(p, Role.TOP_POWER_WORD)).isEqualTo("full power");
    assertThat(p.roles().getFirst().because().toString()).contains("controller.teaching.by-words");
  }

  @Test
  void keysInBracketsAndNegativeTravelsAreUnderstood() {
    Proposals p = propose("[12] = -400", "[13] = -300", "[14] = 7");
    assertThat(p.settingLine()).contains("[{key}] = {value}");
    assertThat(key(p, Role.TRAVEL_X)).isEqualTo("12");
    assertThat(key(p, Role.TRAVEL_Y)).isEqualTo("13");
  }

  @Test
  void ofTwoThatHaveTheValueNobodyKnowsWhich() {
    Proposals p = propose("~a is 1000", "~b is 1000", "~c is 400");
    assertThat(p.settingLine()).contains("~{key} is {value}");
    assertThat(key(p, Role.TOP_POWER_WORD)).isEmpty();
    assertThat(key(p, Role.TRAVEL_X)).isEqualTo("c");
    assertThat(propose("one", "two").settingLine()).isEmpty();
    assertThat(propose().roles()).isEmpty();
  }

  @Test
  void aPageOfAFieldIsReadByItsWordsAndByWhatTheMachineIs() {
    Facts flint =
        new Facts(List.of(110.0, 110.0), false, OptionalDouble.of(1000), List.of(160.0, 254.0));
    Proposals p =
        Teaching.propose(
            "mark / fieldSize = 110\nmark / fieldHeight = 110\nsource_type = FIBER\n"
                + "glass = F254\nMax frequency (kHz) = 80\nOffset_X = 0.2\nburst = 1000\n",
            true,
            flint);
    assertThat(p.settingLine()).contains(NamedFields.LINE);
    assertThat(p.lines()).isEqualTo(7);
    assertThat(key(p, Role.FIELD_SIZE_X)).isEqualTo("mark / fieldSize");
    assertThat(key(p, Role.FIELD_SIZE_Y)).isEqualTo("mark / fieldHeight");
    assertThat(key(p, Role.LENS_FOCAL_LENGTH)).as("by its value").isEqualTo("glass");
    assertThat(key(p, Role.MOST_PULSE_RATE)).isEqualTo("Max frequency (kHz)");
    assertThat(key(p, Role.FIELD_OFFSET_X)).isEqualTo("Offset_X");
    assertThat(key(p, Role.TOP_POWER_WORD)).as("nothing of a gantry").isEmpty();
    assertThat(p.roles().stream().filter(r -> r.role() == Role.SOURCE_KIND).findFirst())
        .hasValueSatisfying(
            r -> assertThat(r.values()).containsExactly(Map.entry("fibre", "FIBER")));
  }

  /** Whatever is pasted, a proposal or none; what is proposed as a pattern reads lines. */
  @Test
  void nothingThatIsPastedIsTooStrange() {
    Random random = new Random(3);
    String letters = "ab1 =:,-\t({})#$%.;/|\"";
    for (int n = 0; n < 5_000; n++) {
      StringBuilder text = new StringBuilder();
      for (int i = random.nextInt(120); i > 0; i--) {
        text.append(
            random.nextInt(12) == 0 ? '\n' : letters.charAt(random.nextInt(letters.length())));
      }
      Proposals p =
          Teaching.propose(
              text.toString(),
              random.nextBoolean(),
              new Facts(List.of(1.0, 2.0), false, OptionalDouble.empty(), List.of(160.0)));
      assertThat(p.settingLine().isPresent() || p.roles().isEmpty()).isTrue();
    }
  }

  private static final Dialect BARE =
      new Dialect(
          "-", "#{key} {value}", "#{key} {value}", Optional.empty(), Map.of(), Optional.empty());

  private static Optional<Proposal> changed(String before, String now, Role role) {
    return Teaching.byChange(
        Settings.parse(before, BARE), Settings.parse(now, BARE), role, Optional.of(Role.ON));
  }

  /** A list of bare numbers: the line that changes as one switch is flipped is that switch. */
  @Test
  void theLineThatChangedIsTheSwitchThatWasFlipped() {
    String before = "#1 0\n#2 17\n#3 0\n";
    Proposal one = changed(before, "#1 0\n#2 17\n#3 4\n", Role.LASER_FOLLOWS_MOTION).orElseThrow();
    assertThat(one.key()).isEqualTo("3");
    assertThat(one.values()).isEqualTo(Map.of("on", "4", "off", "0"));
    assertThat(changed(before, before, Role.HOMING)).as("nothing changed").isEmpty();
    assertThat(changed(before, "#1 1\n#2 18\n#3 0\n", Role.HOMING)).as("two did").isEmpty();
    assertThat(changed(before, "#1 0\n#2 20\n#3 0\n", Role.TOP_POWER_WORD).orElseThrow().values())
        .as("a number has no meanings")
        .isEmpty();
  }

  @Test
  void severalValuesInALineAreValuesOfTheirOwn() {
    NamedFields page =
        NamedFields.parse(
            "axis X  steps=80 rate=12000, accel=500\n"
                + "Work area: 400, 300\n"
                + "Started: 12:30\n"
                + "Gain = 12,5\n"
                + "Name = North bench 3\n");
    assertThat(page.values())
        .containsEntry("axis X / steps", "80")
        .containsEntry("axis X / rate", "12000")
        .containsEntry("axis X / accel", "500")
        .containsEntry("Work area 1", "400")
        .containsEntry("Work area 2", "300")
        .containsEntry("Started", "12:30")
        .containsEntry("Gain", "12,5")
        .containsEntry("Name", "North bench 3")
        .hasSize(8);
    Proposals p =
        Teaching.propose(
            page.text(),
            true,
            new Facts(List.of(400.0, 300.0), true, OptionalDouble.of(1000), List.of()));
    assertThat(key(p, Role.TRAVEL_X)).isEqualTo("Work area 1");
    assertThat(key(p, Role.TRAVEL_Y)).isEqualTo("Work area 2");
  }

  /** Whatever is pasted: it is read in time, and never another way round. */
  @Test
  void longLinesOfManyPairsAreReadInTime() {
    String line = "a=1 ".repeat(90);
    long from = System.nanoTime();
    NamedFields.parse("x = 1\n" + line + "\n" + "a b c ".repeat(60) + "\n");
    assertThat(System.nanoTime() - from).isLessThan(2_000_000_000L);
  }
}
