package zebrawood.desktop.controller;

import java.util.List;
import java.util.Optional;
import zebrawood.controller.ControllerVisitFinding;
import zebrawood.controller.ControllerVisitReadings;
import zebrawood.controller.Settings;
import zebrawood.controller.Write;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Practice.Deed;
import zebrawood.devices.controller.ControllerLink;
import zebrawood.devices.controller.LineController;
import zebrawood.devices.controller.LinkTrouble;
import zebrawood.devices.controller.SettingsChange;
import zebrawood.devices.controller.SimulatedController;
import zebrawood.devices.controller.SimulatedPort;
import zebrawood.words.Message;

/**
 * Practice on a simulated controller as it was shipped, over the same link as a real one, whose
 * time passes at once. The port, and all that is done over it, is the stand-in's meanwhile.
 */
final class ControllerPractice
    extends Practice<
        ControllerModel, SimulatedController, ControllerVisitReadings, ControllerVisitFinding> {
  /** What the job software beside the stand-in sends for full power. */
  private static final double SOFTWARE_TOP = 1000;

  final ChoiceField<StandInFault> fault;
  private List<Write> asShipped = List.of();

  ControllerPractice(ControllerModel model) {
    super(model);
    fault =
        new StationForm("controller", model.form().units())
            .choice("fault", StandInFault.class, StandInFault.NONE);
  }

  /** What is wrong with the link is chosen, not drawn by lot. */
  @Override
  public List<Part> choices() {
    return List.of(new Part.LabelledChoices(List.of(fault)));
  }

  @Override
  protected SimulatedController make(long number) {
    return StandIn.controllerOf(model.machine, StandIn.dialect(), fault.get().faults());
  }

  /** The stand-in's dialect, and what is seen of the machine that it stands in. */
  @Override
  protected void prepare() {
    model.dialect.take(StandIn.dialect());
    model.head.seen(CornerIfKnown.FRONT_LEFT, SOFTWARE_TOP);
    asShipped = model.writesOf(standIn().settings());
    model.practiseOn(Optional.of(standIn()));
  }

  @Override
  protected void ended() {
    model.practiseOn(Optional.empty());
  }

  @Override
  protected void read(SimulatedController on) {
    over(on, link -> show(on, link.readSettings()));
  }

  /** Its settings, and how it moves with them: as it should once they are right. */
  private void show(SimulatedController on, Settings settings) {
    model.origin.takeRead(settings.dump());
    if (model.writesOf(on.settings()).isEmpty()) {
      model.proofs.forEach((motion, proof) -> proof.set(true));
    }
  }

  @Override
  protected void obey(
      SimulatedController on,
      Outcome.Solved<ControllerVisitReadings, ControllerVisitFinding> solved) {
    write(on, solved.finding().writes());
  }

  private void write(SimulatedController on, List<Write> writes) {
    over(
        on,
        link -> {
          if (SettingsChange.run(link, link.readSettings(), writes, w -> {})
              instanceof SettingsChange.Outcome.Stopped stopped) {
            model.say(
                Message.of(
                    "controller.said.stopped",
                    stopped.at().map(Write::meaning).orElse(Message.verbatim("–")),
                    stopped.because()));
          }
        });
    model.form().clearReadings();
  }

  /** Something that is done over the link. */
  private interface Work {
    void with(ControllerLink link) throws LinkTrouble;
  }

  private void over(SimulatedController on, Work work) {
    try (ControllerLink link =
        new LineController(
            new SimulatedPort(on, System.nanoTime()), StandIn.dialect(), () -> false)) {
      link.connect();
      work.with(link);
    } catch (LinkTrouble e) {
      model.say(e.said());
    }
  }

  @Override
  protected Message stands(SimulatedController on) {
    return left(model.writesOf(on.settings()).size());
  }

  @Override
  protected Message best(SimulatedController on) {
    return mendedAtOnce(asShipped.size());
  }

  @Override
  protected List<Deed<SimulatedController>> deeds() {
    return asShipped.stream()
        .map(w ->
            Deed.<SimulatedController>of(
                Message.of("controller.practice.write", w.meaning()), on -> write(on, List.of(w))))
        .toList();
  }
}
