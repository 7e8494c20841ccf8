package zebrawood.desktop.sheet;

import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import javafx.scene.layout.Region;
import zebrawood.desktop.fields.EntryField;
import zebrawood.ledger.Station;

/** A sheet whose left column is made of fields, choices and proofs, with or without a practice. */
public abstract class AnsweredSheet extends RecordedSheet {
  private final Optional<Practice> practice;
  private AnsweredPane pane;

  /**
   * @param typedOf what was typed for an entry, from the readings kept with it; may refuse
   */
  protected AnsweredSheet(
      SheetHost host,
      Station station,
      EntryDesk.Typed fields,
      Function<String, Map<String, String>> typedOf,
      Optional<Practice> practice) {
    super(host, station, fields, typedOf);
    this.practice = practice;
  }

  /** Puts the parts together; the last thing a station's constructor does. */
  protected final void assemble(
      AnsweredPane readings, String pictureTitle, String legendWords, Region drawing) {
    pane = readings;
    super.assemble(readings, pictureTitle, legendWords, drawing);
    practice.ifPresent(p -> p.roundsProperty().subscribe(r -> showAdvice()));
  }

  @Override
  protected final void showAdvice() {
    super.showAdvice();
    if (pane != null) {
      pane.showPractice(practiceWords());
    }
  }

  @Override
  protected final String practiceWords() {
    return practice.map(Practice::words).orElse("");
  }

  @Override
  protected final void endPractice() {
    practice.ifPresent(Practice::end);
  }

  @Override
  protected final void fieldFocused(Optional<EntryField> field) {
    pane.setFocused(field);
  }

  @Override
  protected final void focusStart() {
    pane.focusStart();
  }

  @Override
  public final void focusFirst() {
    pane.focusNextEmpty();
  }
}
