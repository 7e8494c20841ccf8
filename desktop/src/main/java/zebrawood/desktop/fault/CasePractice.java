package zebrawood.desktop.fault;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Practice;
import zebrawood.devices.fault.StandInCase;
import zebrawood.fault.BeamEnters;
import zebrawood.fault.Cause;
import zebrawood.fault.FaultFinding;
import zebrawood.fault.FaultFinding.NextTest;
import zebrawood.fault.FaultVisitFinding;
import zebrawood.fault.FaultVisitReadings;
import zebrawood.fault.Fitted;
import zebrawood.fault.Seen;
import zebrawood.words.Message;

/**
 * A machine with hidden faults: squares are burnt, tests made, something is mended, burnt again.
 */
final class CasePractice
    extends Practice<FaultModel, StandInCase, FaultVisitReadings, FaultVisitFinding> {
  CasePractice(FaultModel model) {
    super(model);
  }

  @Override
  protected StandInCase make(long number) {
    List<Fitted> fitted = model.fitted();
    return new StandInCase(
        number,
        fitted.isEmpty() ? EnumSet.noneOf(Fitted.class) : EnumSet.copyOf(fitted),
        model.wideMm(),
        model.deepMm(),
        model.beamEnters().orElse(BeamEnters.REAR_LEFT));
  }

  @Override
  protected void read(StandInCase from) {
    model.see(from.seen(), from.squares());
  }

  @Override
  protected void obey(
      StandInCase on, Outcome.Solved<FaultVisitReadings, FaultVisitFinding> solved) {
    Optional<FaultFinding> found = solved.finding().found();
    Optional<NextTest> next = found.flatMap(f -> f.next().value());
    if (next.isPresent()) {
      model.answer(next.get().test(), on.answer(next.get().test()));
    } else if (found.isPresent() && model.mended().isEmpty()) {
      Cause cause = found.get().likeliest().id();
      on.mend(cause);
      model.mend(cause);
    } else if (on.good()) {
      model.burnAgain(true);
    } else {
      // That was not all of it: what is left is looked for anew.
      model.form().clearReadings();
      read(on);
    }
  }

  @Override
  protected Message stands(StandInCase on) {
    return Message.of("fault.practice.stands", on.minutes(), on.left().size());
  }

  @Override
  protected Message best(StandInCase on) {
    return Message.of("fault.practice.best", on.bestMinutes());
  }

  @Override
  protected List<Deed<StandInCase>> deeds() {
    return Stream.of(Cause.values())
        .map(c -> Deed.<StandInCase>of(Message.of("fault.was-mended", c), on -> on.mend(c)))
        .toList();
  }

  @Override
  public boolean offered() {
    return model.seen() != Seen.DEAD;
  }
}
