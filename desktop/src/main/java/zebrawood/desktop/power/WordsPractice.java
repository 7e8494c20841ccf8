package zebrawood.desktop.power;

import java.util.List;
import java.util.Random;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.sheet.Outcome;
import zebrawood.desktop.sheet.Practice;
import zebrawood.devices.power.StandInWordSource;
import zebrawood.machine.PulseRange;
import zebrawood.power.PowerFinding;
import zebrawood.power.PowerReadings;
import zebrawood.power.PowerTask.Item;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** Practice on a simulated source whose job program and controller do not agree on "100 %". */
final class WordsPractice extends Practice<StandInWordSource, PowerReadings, PowerFinding> {
  private static final double USUAL_KHZ = 40;
  private static final double USUAL_NS = 100;

  private final PowerWork work;

  WordsPractice(PowerWork work) {
    super(work);
    this.work = work;
  }

  @Override
  protected StandInWordSource make(long number) {
    Random random = new Random(number);
    double controller = random.nextBoolean() ? 1000 : 255;
    double job = controller == 1000 ? 255 : 1000;
    return new StandInWordSource(controller, job, usualKhz(), number);
  }

  private double usualKhz() {
    return work.machine().source().pulses().map(PulseRange::leastKhz).orElse(USUAL_KHZ);
  }

  @Override
  protected void prepare() {
    work.form().clearVisit();
  }

  @Override
  protected void read(StandInWordSource on) {
    List<QuantityField> words = work.ofWords();
    words.get(0).set(on.jobTop());
    words.get(1).set(on.controllerTop());
    words.get(2).set(on.readFiringPercent());
    words.get(3).set(USUAL_NS);
    words.get(4).set(on.pulseKhz());
    work.proofs().get(Item.TOP_DARKER).set(on.mark(100) > on.mark(90));
    work.proofs().get(Item.NOT_BACKWARDS).set(on.mark(100) >= on.mark(50));
  }

  @Override
  protected void obey(StandInWordSource on, Outcome.Found<PowerReadings, PowerFinding> found) {
    on.setJobTop(on.controllerTop());
    work.form().clearReadings();
  }

  @Override
  protected Message stands(StandInWordSource on) {
    return Message.of("power.practice.scale", Amount.of(on.offPercent(), Quantity.PERCENT, 0));
  }

  @Override
  protected Message best(StandInWordSource on) {
    return Message.of("power.practice.best-scale");
  }

  @Override
  protected List<Deed<StandInWordSource>> deeds() {
    return List.of(
        Deed.of(Message.of("power.practice.same"), on -> on.setJobTop(on.controllerTop())),
        Deed.of(Message.of("power.practice.hundred"), on -> on.setJobTop(100)));
  }
}
