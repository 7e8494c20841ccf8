package zebrawood.desktop.cooling;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import zebrawood.desktop.fields.Choice;
import zebrawood.desktop.sheet.AnsweredPane;
import zebrawood.desktop.sheet.PracticeBar;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.sheet.SteadyBox;
import zebrawood.desktop.text.Text;
import zebrawood.site.Coldest.Glycol;
import zebrawood.site.Coolant;
import zebrawood.site.CoolingReadings.Item;

/** The left column of the cooling sheet: figures, proofs, and what stays from visit to visit. */
final class CoolingPane extends AnsweredPane {
  private final CoolingModel model;
  private final PracticeBar practiceBar;
  private final VBox settings = new SteadyBox(6);
  private final Label wayCosts = soft("");
  private final Label coolantCosts = soft("");

  /**
   * @param afterLast what Enter in the last place does
   */
  CoolingPane(CoolingModel model, CoolingPractice practice, Runnable afterLast) {
    super("cooling", afterLast);
    this.model = model;
    practiceBar =
        new PracticeBar(
            practice::start,
            () -> {
              practice.readAll();
              afterLast.run();
            });
    getChildren()
        .addAll(
            SheetFrame.columnTitle(Text.of("sheet.readings"), soft(Text.of("cooling.keys"))),
            grid(model.atEveryVisit()),
            message(),
            soft(Text.of("cooling.proofs")),
            proofRows(model.proofs(), i -> i.name().toLowerCase(Locale.ROOT), Item::words),
            practiceBar,
            part("cooling.sometimes", grid(model.atSomeVisits())),
            part("cooling.school", school()),
            part("cooling.settings", settings));
    model.wayProperty().subscribe(this::layOutSettings);
    model.coolantProperty().subscribe(c -> coolantCosts.setText(c.costs()));
    model.outcomeProperty().subscribe(o -> showMessage());
  }

  private VBox school() {
    ComboBox<Coolant> coolant =
        Choice.of("coolant", List.of(Coolant.values()), model.coolantProperty(), Coolant::words);
    coolant.setMaxWidth(Double.MAX_VALUE);
    coolant.setAccessibleText(Text.of("cooling.coolant"));
    return new SteadyBox(
        6,
        choice("cooling-way", "cooling.way", List.of(CoolingWay.values()), model.wayProperty()),
        wayCosts,
        coolant,
        coolantCosts);
  }

  private void layOutSettings(CoolingWay way) {
    wayCosts.setText(Text.of("cooling.way." + way.name().toLowerCase(Locale.ROOT) + ".costs"));
    forget(List.of(settings));
    settings.getChildren().setAll(grid(model.settings()));
    if (way == CoolingWay.CHILLER) {
      settings
          .getChildren()
          .addAll(
              grid(List.of(model.setPoint())),
              soft(Text.of("cooling.pull-down")),
              grid(model.pullDown()));
    }
    settings
        .getChildren()
        .addAll(
            soft(Text.of("cooling.frost")),
            grid(List.of(model.coldest())),
            choice("glycol", "cooling.glycol", List.of(Glycol.values()), model.glycolProperty()));
  }

  @Override
  protected void showPractice(String words) {
    practiceBar.show(words);
  }

  private void showMessage() {
    message()
        .refuse(
            model.outcomeProperty().get() instanceof CoolingOutcome.Refused(String because)
                ? Optional.of(because)
                : Optional.empty());
  }
}
