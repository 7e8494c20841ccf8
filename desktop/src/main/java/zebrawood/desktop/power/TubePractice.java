package zebrawood.desktop.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import zebrawood.desktop.form.PairRow;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Practice.Deed;
import zebrawood.devices.power.StandInSupply;
import zebrawood.devices.power.StandInTube;
import zebrawood.measure.Estimate;
import zebrawood.power.PowerFinding;
import zebrawood.power.PowerReadings;
import zebrawood.power.PowerTask;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** Practice on a simulated tube whose dial stands wrong, read off a needle. */
final class TubePractice extends Practice<PowerModel, StandInSupply, PowerReadings, PowerFinding> {
  private static final double MAXIMUM_MA = 30;
  private static final double SHARE_PERCENT = 85;
  private static final double RATED_MA = 26;
  private static final double DIVISION_MA = 1;
  private static final double LOW_PULSE_MA = 4;
  private static final double STEP_PERCENT = 10;

  /** A hand that raises the dial stops here, below the maximum. */
  private static final double NEAR_MAXIMUM = 0.92;

  private static final double WARM_HOURS = 0.25;
  private static final double SMALL_STEPS_FROM = 0.75;

  private boolean set;

  TubePractice(PowerModel model) {
    super(model);
  }

  @Override
  protected StandInSupply make(long number) {
    Random random = new Random(number);
    StandInTube tube =
        new StandInTube(
            RATED_MA, model.machine.source().watts(), 4.2, 0.12, 6000, 1, random.nextLong());
    tube.rest();
    double gain = 0.34 + 0.06 * random.nextDouble();
    return new StandInSupply(
        tube,
        gain,
        1 + random.nextDouble(),
        0.8,
        DIVISION_MA,
        50 + 40 * random.nextDouble(),
        random.nextLong());
  }

  private double agreedMa() {
    return switch (model.way.get()) {
      case SHARE -> MAXIMUM_MA * SHARE_PERCENT / 100;
      case RATED, CHECK, NEEDLE, CARD -> RATED_MA;
      case FACTORY -> MAXIMUM_MA;
    };
  }

  @Override
  protected void prepare() {
    set = false;
    model.form().clearVisit();
    if (model.way.get() == PowerWay.CARD) {
      // The stand-in has a meter to practise with.
      model.way.set(PowerWay.NEEDLE);
    }
    model.lowPulse.set(LOW_PULSE_MA);
    model.tubeMaximum.set(MAXIMUM_MA);
    model.share.set(SHARE_PERCENT);
    model.rated.set(RATED_MA);
    model.meter.set(Math.round(20 * standIn().resolutionMa()) / 20.0);
    model.agreed.set(RATED_MA);
    model.slope.set(0.37);
    if (model.way.get() == PowerWay.FACTORY) {
      // What a factory sets does not overdrive the tube.
      standIn().setDial(60);
    }
  }

  /** Raises the dial in steps while the tube bears it; with the dial set, reads the test job. */
  @Override
  protected void read(StandInSupply on) {
    if (model.way.get().readsDial() && model.samples.begun().isEmpty()) {
      List<double[]> read = new ArrayList<>();
      double dial = STEP_PERCENT;
      double ma = 0;
      while (dial <= 100 && ma <= NEAR_MAXIMUM * MAXIMUM_MA) {
        ma = on.readMa(dial);
        read.add(new double[] {dial, ma});
        dial += ma > SMALL_STEPS_FROM * MAXIMUM_MA ? STEP_PERCENT / 4 : STEP_PERCENT;
      }
      PairRow.type(model.samples, read, at -> at[0], at -> at[1]);
    }
    if (set || !model.way.get().readsDial()) {
      model.atTop.set(on.readMa(on.dialPercent()));
      model.dialNow.set(Math.round(10 * on.dialPercent()) / 10.0);
      // Waits until it is warm, then reads.
      on.tube().run(WARM_HOURS, on.currentMa(on.dialPercent()));
      model.ageing.output.set(on.readWatts(100));
    }
  }

  @Override
  protected void obey(StandInSupply on, Outcome.Solved<PowerReadings, PowerFinding> solved) {
    PowerFinding f = solved.finding();
    double off =
        f.top()
            .filter(t -> t.readMa().isPresent())
            .map(t -> t.readMa().getAsDouble() - t.agreedMa())
            .orElse(0.0);
    if (solved.readings().task() instanceof PowerTask.ByMeter && set
        || model.way.get() == PowerWay.NEEDLE) {
      on.setDial(on.dialPercent() - off / f.slopeMaPerPercent().orElse(0.37));
    } else {
      f.dialPercent().map(Estimate::value).ifPresent(on::setDial);
    }
    set = true;
    model.form().clearReadings();
  }

  @Override
  protected Message stands(StandInSupply on) {
    double off = on.currentMa(on.dialPercent()) - agreedMa();
    return Message.of("power.practice.stands", Amount.of(Math.abs(off), Quantity.SMALL_CURRENT, 1));
  }

  @Override
  protected Message best(StandInSupply on) {
    return Message.of("power.practice.best");
  }

  @Override
  protected List<Deed<StandInSupply>> deeds() {
    return List.of(
        Deed.by(
            Message.of("power.practice.turn"),
            (on, percent) -> {
              on.setDial(on.dialPercent() + percent);
              set = true;
            }));
  }

  @Override
  protected Quantity amountOf() {
    return Quantity.PERCENT;
  }
}
