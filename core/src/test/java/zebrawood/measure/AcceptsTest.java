package zebrawood.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.util.List;
import org.junit.jupiter.api.Test;
import zebrawood.measure.UnusableReading.Complaint;

class AcceptsTest {
  private record At(double xMm, double yMm) implements Place {}

  @Test
  void reportsAllBadFieldsTogetherWithWhatIsAccepted() {
    Accepts accepts =
        new Accepts()
            .between("gapMm", Double.NaN, 0, 10)
            .positive("pitchMm", 0, 20)
            .filled("id", " ")
            .between("xMm", Double.POSITIVE_INFINITY, -5, 5);
    UnusableReading refusal = catchThrowableOfType(UnusableReading.class, accepts::orThrow);
    assertThat(refusal.complaints())
        .extracting(Complaint::field)
        .containsExactly("gapMm", "pitchMm", "id", "xMm");
    assertThat(refusal)
        .hasMessage(
            "gapMm is not a number, accepted is a number from 0 to 10;"
                + " pitchMm is 0, accepted is a number more than 0 and at most 20;"
                + " id is empty, accepted is a name of at least one letter or digit;"
                + " xMm is infinite, accepted is a number from -5 to 5.");
  }

  @Test
  void saysNothingWhenAllIsRight() {
    new Accepts().between("a", 5, 5, 5).positive("b", 1e-9, 1).filled("c", "x").orThrow();
  }

  @Test
  void refusesNamesGivenTwice() {
    assertThatThrownBy(() -> new Accepts().distinct("screws", List.of("a", "b", "a")).orThrow())
        .hasMessageContaining("\"a\" twice");
  }

  @Test
  void tellsALineFromAPlane() {
    List<At> line = List.of(new At(0, 0), new At(100, 50), new At(200, 100.05));
    List<At> plane = List.of(new At(0, 0), new At(100, 50), new At(200, 102));
    assertThatThrownBy(() -> new Accepts().notInOneLine("points", line).orThrow())
        .isInstanceOf(UnusableReading.class);
    new Accepts().notInOneLine("points", plane).orThrow();
    assertThat(Spread.of(List.of(new At(4, 4), new At(4, 4), new At(4, 4))).inOneLine()).isTrue();
  }
}
