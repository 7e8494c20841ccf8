package zebrawood.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import zebrawood.climate.Air;
import zebrawood.measure.Verdict;

class CircuitTest {
  @Test
  void theCircuitIsJudgedByItsContinuousShare() {
    var loads =
        java.util.List.of(
            new Circuit.Load("laser", 1200),
            new Circuit.Load("chiller", 800),
            new Circuit.Load("blower", 300));
    Circuit.Readings r = new Circuit.Readings(230, 16, 0.8, loads);
    Circuit.Finding f = Circuit.solve(r);
    assertThat(f.amps()).isCloseTo(10, within(1e-12));
    assertThat(f.shareOfBreaker()).isCloseTo(0.625, within(1e-12));
    assertThat(f.ok()).isTrue();
    assertThat(Circuit.solve(new Circuit.Readings(115, 20, 1, loads)).ok())
        .as("just at the share")
        .isTrue();
    Circuit.Readings small = new Circuit.Readings(115, 20, 0.8, loads);
    assertThat(Circuit.judge(small, Circuit.solve(small)).advice(ENGLISH).getFirst())
        .startsWith("Take 460 W off this breaker")
        .contains("licensed electrician");
    assertThatThrownBy(() -> new Circuit.Readings(0, -1, 1.2, java.util.List.of()))
        .hasMessageContaining("volts")
        .hasMessageContaining("breakerA")
        .hasMessageContaining("continuousShare")
        .hasMessageContaining("at least 1 load");
  }

  @Test
  void theSurveyTakesTheWorstAndSaysItFirst() {
    SiteSurvey.Result result =
        SiteSurvey.solve(
            new SiteSurvey.Readings(
                Optional.of(new Air.Readings(25, 60, 15)),
                Optional.of(
                    new Circuit.Readings(
                        230, 16, 0.8, java.util.List.of(new Circuit.Load("laser", 900)))),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty()));
    assertThat(result.verdict()).isEqualTo(Verdict.STOP);
    assertThat(result.advice(ENGLISH).getFirst()).startsWith("Do not fire");
    assertThat(result.bucket()).isEmpty();
    assertThatThrownBy(() ->
            new SiteSurvey.Readings(
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty()))
        .hasMessageContaining("accepted is air, circuit, bucket, duct, coldest or eyewear");
  }
}
