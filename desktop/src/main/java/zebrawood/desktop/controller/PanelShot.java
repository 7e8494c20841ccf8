package zebrawood.desktop.controller;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import javafx.beans.binding.BooleanExpression;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import zebrawood.controller.ControllerVisitReadings.PanelAnswer;
import zebrawood.controller.ControllerVisitReadings.PanelStep;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.GuardLine;
import zebrawood.desktop.station.Part;
import zebrawood.words.Message;

/** A shot by the panel's own button, step by step; nothing of it is asked before today's proof. */
final class PanelShot {
  private final Map<PanelStep, ProofField> steps = new EnumMap<>(PanelStep.class);
  private final BooleanProperty mayFire = new SimpleBooleanProperty(false);
  private final ObjectProperty<Message> missing = new SimpleObjectProperty<>(Message.NONE);

  PanelShot(StationForm form) {
    for (PanelStep step : PanelStep.values()) {
      steps.put(step, form.proof(step));
    }
  }

  /**
   * What of today's proof is missing decides whether anything is fired.
   *
   * @return whether that is otherwise than before
   */
  boolean ask(List<GuardLine> notProven) {
    boolean before = mayFire.get();
    missing.set(
        Message.of(
            "controller.panel.first",
            Message.list(notProven.stream().map(GuardLine::said).toList())));
    mayFire.set(notProven.isEmpty());
    return before != mayFire.get();
  }

  BooleanExpression mayFire() {
    return mayFire;
  }

  ReadOnlyObjectProperty<Message> missing() {
    return missing;
  }

  List<Part> parts() {
    return List.of(Part.hint("controller.panel.hint"), new Part.Rows(List.copyOf(steps.values())));
  }

  /** The answers so far, in the order of the steps; none while today's proof is missing. */
  List<PanelAnswer> answers() {
    return steps.entrySet().stream()
        .filter(e -> mayFire.get() && !e.getValue().isEmpty())
        .map(e -> new PanelAnswer(e.getKey(), e.getValue().get() == ProofField.Answer.YES))
        .toList();
  }
}
