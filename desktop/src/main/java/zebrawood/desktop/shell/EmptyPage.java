package zebrawood.desktop.shell;

import java.util.UUID;
import javafx.scene.control.Button;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import zebrawood.desktop.text.Text;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.machine.Trial;

/** What the window shows while there is no machine: enter one, try one, or practise. */
final class EmptyPage extends StackPane {
  private static final double TRIAL_WIDTH_MM = 600;
  private static final double TRIAL_DEPTH_MM = 400;
  private static final double TRIAL_LEVEL_MM = 0.3;

  private final Button firstMachine;

  EmptyPage(Runnable newMachine, Runnable tryIt, Runnable practise) {
    firstMachine = Card.primary("first-machine", Text.of("today.none.new"), newMachine);
    var heading = Card.words(Text.of("today.none.title"));
    heading.getStyleClass().add("title");
    VBox words =
        new VBox(
            14,
            heading,
            Card.words(Text.of("today.none.why")),
            firstMachine,
            Card.words(Text.of("tour.why")),
            Card.button("try-it", Text.of("tour.try"), tryIt),
            Card.words(Text.of("practise.why")),
            Card.button("practise-it", Text.of("practise.title"), practise));
    words.setMaxSize(520, Region.USE_PREF_SIZE);
    getChildren().add(words);
    getStyleClass().add("empty-page");
  }

  void focusFirst() {
    firstMachine.requestFocus();
  }

  static Machine trialMachine() {
    return new Machine(
            UUID.randomUUID().toString(),
            Text.of("tour.machine"),
            Build.GANTRY_WITH_MIRRORS,
            new Source(
                SourceKind.CO2_GLASS_TUBE,
                SourceKind.CO2_GLASS_TUBE.usualWatts(),
                SourceKind.CO2_GLASS_TUBE.usualWavelengthNm()),
            TRIAL_WIDTH_MM,
            TRIAL_DEPTH_MM,
            BedSupport.SCREWS,
            TRIAL_LEVEL_MM)
        .withTrial(Trial.IN_USE);
  }
}
