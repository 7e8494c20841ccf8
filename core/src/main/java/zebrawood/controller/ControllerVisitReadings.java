package zebrawood.controller;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.ledger.Figure;
import zebrawood.machine.Machine;
import zebrawood.measure.Accepts;
import zebrawood.quantity.Quantity;
import zebrawood.station.Proof;
import zebrawood.station.Visit;
import zebrawood.words.Message;

/**
 * One visit to the controller: its settings, what was measured, and the motion as it was proven.
 *
 * @param numbered settings beside machine and software; empty for a page of named fields
 * @param named a page of named fields; empty for settings of a gantry
 * @param lensFocalLengthMm of the lens that is on it, for named fields that depend on it
 * @param offline the page it uses without the computer, where it has one of its own, a line a field
 * @param leftBefore the text as it was last left, to be compared with
 * @param across travel commanded and measured to the right
 * @param along travel commanded and measured to the rear
 * @param configuration its name, on machines whose heads are swapped; empty on others
 * @param connection what made the link work, in words
 * @param panel answers to the steps of a shot by the panel's button, none where it was not begun
 * @param silent of a controller whose settings nobody can read: then there are no numbered ones,
 *     and a page only where something of it is known
 */
public record ControllerVisitReadings(
    Optional<ControllerReadings> numbered,
    Optional<Page> named,
    OptionalDouble lensFocalLengthMm,
    Optional<String> offline,
    Optional<String> leftBefore,
    Optional<AxisScale.Readings> across,
    Optional<AxisScale.Readings> along,
    Optional<RunUp.Readings> runUp,
    TwoMarks twoMarks,
    HomeAtStart homeAtStart,
    String configuration,
    String connection,
    List<Proof<Motion>> proofs,
    List<PanelAnswer> panel,
    Optional<Silent> silent) {

  /**
   * A page of named fields, which has nothing to do with a gantry.
   *
   * @param dialect which name means what
   * @param text a line a field, as {@link NamedFields#text} gives them
   */
  public record Page(Dialect dialect, String text) {}

  /**
   * A controller that tells nothing: it is reached by a print driver, a program on a telephone, or
   * its panel alone.
   *
   * @param limitSwitches whether it has them; empty while nobody looked
   */
  public record Silent(Optional<Boolean> limitSwitches) {}

  /** Two marks at the same speed, one with a lower word, tell whether the scale runs backwards. */
  public enum TwoMarks {
    NOT_BURNT,
    LOWER_IS_FAINTER,
    LOWER_IS_DARKER
  }

  /** Whether the job software homes the machine as it starts. */
  public enum HomeAtStart {
    NOT_KNOWN,
    YES,
    NO
  }

  /** The motion, proven after any change. */
  public enum Motion {
    HOMES,
    CORNERS,
    SWITCHES,
    CABLES
  }

  /** A shot by the panel's own button, one step after the other. */
  public enum PanelStep {
    READY,
    LEAST,
    ENDED,
    MARKED
  }

  public record PanelAnswer(PanelStep step, boolean so) {}

  public ControllerVisitReadings {
    proofs = List.copyOf(proofs);
    panel = List.copyOf(panel);
    var accepts = new Accepts();
    Proof.eachOnce("proofs", proofs, accepts);
    if (silent.isPresent() ? numbered.isPresent() : numbered.isPresent() == named.isPresent()) {
      accepts.complain(
          "settings",
          Message.of("controller.controller-visit.neither-both-kinds"),
          Message.of("controller.controller-visit.numbered-settings-named"));
    }
    accepts.orThrow();
  }

  /** A visit to the controller of this machine. */
  public static Visit<ControllerVisitReadings, ControllerVisitFinding> visit(Machine machine) {
    return Visit.of(
            ControllerVisitReadings.class,
            ControllerVisitFinding.class,
            r -> r.solve(machine),
            ControllerVisitReadings::figures)
        .saying((r, f) -> f.said());
  }

  public ControllerVisitFinding solve(Machine machine) {
    return new VisitAudit(this, machine).solve();
  }

  /** Whether this machine is asked for it: a galvo head has no motion of its own. */
  public boolean asks(Motion item, Machine machine) {
    boolean switches =
        numbered
            .map(r -> r.machine().limitSwitches())
            .or(() -> silent.flatMap(Silent::limitSwitches))
            .orElse(false);
    return machine.build().headTravels()
        && (item != Motion.HOMES && item != Motion.SWITCHES || switches);
  }

  /** Whether anything of it was measured, proven, seen, or said. */
  boolean tellsAnything() {
    return named.isPresent()
        || across.isPresent()
        || along.isPresent()
        || runUp.isPresent()
        || twoMarks != TwoMarks.NOT_BURNT
        || !proofs.isEmpty()
        || !panel.isEmpty()
        || !connection.isBlank();
  }

  /** What the notebook shows; how many settings are wrong is the telling figure. */
  public List<Figure> figures(ControllerVisitFinding f) {
    List<Figure> figures = new ArrayList<>();
    // Of what nobody can read it is not told how many are wrong.
    figures.add(
        silent.isEmpty()
            ? Figure.of("wrong", f.wrong(), Quantity.LINES).limited(0)
            : Figure.of("known", f.notJudged(), Quantity.LINES));
    f.audit()
        .filter(a -> a.effectiveFullPower().isPresent())
        .ifPresent(a ->
            figures.add(
                Figure.of(
                    "fullPower", 100 * a.effectiveFullPower().getAsDouble(), Quantity.PERCENT)));
    f.across()
        .ifPresent(a -> figures.add(Figure.of("scaleX", 1 / a.factor().value(), Quantity.NUMBER)));
    f.along()
        .ifPresent(a -> figures.add(Figure.of("scaleY", 1 / a.factor().value(), Quantity.NUMBER)));
    return figures;
  }
}
