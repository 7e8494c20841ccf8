package zebrawood.controller;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.controller.Teaching.Proposal;
import zebrawood.controller.Teaching.Proposals;

class TeachingTest {
  private static Proposals propose(String... lines) {
    return Teaching.propose(
        String.join("\n", lines), List.of(400.0, 300.0), OptionalDouble.of(1000));
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
  void ofTwoThatHaveTheValueNobodyKnowsWhich() {
    Proposals p = propose("~a is 1000", "~b is 1000", "~c is 400");
    assertThat(p.settingLine()).contains("~{key} is {value}");
    assertThat(key(p, Role.TOP_POWER_WORD)).isEmpty();
    assertThat(key(p, Role.TRAVEL_X)).isEqualTo("c");
    assertThat(propose("one", "two").settingLine()).isEmpty();
    assertThat(propose().roles()).isEmpty();
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
      Proposals p = Teaching.propose(text.toString(), List.of(1.0, 2.0), OptionalDouble.empty());
      assertThat(p.settingLine().isPresent() || p.roles().isEmpty()).isTrue();
    }
  }
}
