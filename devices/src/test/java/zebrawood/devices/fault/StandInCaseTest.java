package zebrawood.devices.fault;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import zebrawood.fault.BeamEnters;
import zebrawood.fault.Cause;
import zebrawood.fault.Fault;
import zebrawood.fault.FaultFinding;
import zebrawood.fault.FaultReadings;
import zebrawood.fault.FaultReadings.Answer;
import zebrawood.fault.Fitted;

class StandInCaseTest {
  private static final Set<Fitted> ALL = EnumSet.allOf(Fitted.class);

  private static StandInCase numbered(long number) {
    return new StandInCase(number, ALL, 700, 500, BeamEnters.REAR_LEFT);
  }

  private static FaultFinding found(StandInCase on, List<Answer> answers) {
    return Fault.solve(
        new FaultReadings(
            Optional.of(on.squares()),
            List.of(700.0, 500.0),
            Optional.of(BeamEnters.REAR_LEFT),
            OptionalDouble.empty(),
            Optional.of(answers),
            Optional.empty(),
            List.copyOf(ALL)));
  }

  @Test
  void itIsBadUntilAllOfItIsMended() {
    for (long number = 0; number < 100; number++) {
      StandInCase on = numbered(number);
      assertThat(on.good()).as("case %s: %s", number, on.began()).isFalse();
      on.began().forEach(on::mend);
      assertThat(on.good()).isTrue();
      assertThat(on.left()).isEmpty();
    }
  }

  @Test
  void theSameNumberGivesTheSame() {
    assertThat(numbered(7).squares()).isEqualTo(numbered(7).squares());
    Set<Set<Cause>> different = new HashSet<>();
    for (long number = 0; number < 60; number++) {
      different.add(numbered(number).began());
    }
    assertThat(different).hasSizeGreaterThan(12);
  }

  @Test
  void followingTheAdviceFindsNearlyEveryFault() {
    int mended = 0;
    for (long number = 0; number < 60; number++) {
      StandInCase on = numbered(number);
      for (int round = 0; round < 4 && !on.good(); round++) {
        List<Answer> answers = new ArrayList<>();
        FaultFinding now = found(on, answers);
        while (now.next().value().isPresent() && answers.size() < 40) {
          var test = now.next().value().get().test();
          answers.add(new Answer(test, on.answer(test)));
          now = found(on, answers);
        }
        on.mend(now.likeliest().id());
      }
      mended += on.good() ? 1 : 0;
    }
    assertThat(mended).isGreaterThan(54);
  }
}
