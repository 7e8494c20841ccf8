package zebrawood.desktop.shell;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.text.Text;
import zebrawood.machine.Machine;
import zebrawood.rotary.RotaryStation;

/** Which machine is open, what it is, what everybody in the room must know, and find or do. */
final class TopBar extends HBox {
  private static final double LEAST_PLAQUE = 250;

  private final MenuButton machines = new MenuButton();
  private final Label line = new Label();
  private final Label plaque = new Label();

  /** What is in the machine and is to be undone. */
  private final Button fixture = new Button();

  private final Consumer<Machine> choose;
  private final Runnable addMachine;
  private final Runnable showAll;

  /**
   * @param show shows a station by its id, or one of the pages
   */
  TopBar(Consumer<Machine> choose, Consumer<String> show, Runnable addMachine, Runnable find) {
    this.showAll = () -> show.accept(Shell.ALL);
    this.choose = choose;
    this.addMachine = addMachine;
    getStyleClass().add("top-bar");
    machines.setId("machines");
    machines.setMinWidth(120);
    machines.setMaxWidth(300);
    line.getStyleClass().add("machine-line");
    line.setMinWidth(0);
    plaque.getStyleClass().add("plaque");
    // In two lines or three where there is no room for one; it is never cut.
    plaque.setWrapText(true);
    plaque.setMinWidth(LEAST_PLAQUE);
    plaque.setMinHeight(Region.USE_PREF_SIZE);
    Button findButton = new Button(Text.of("bar.find"));
    findButton.setId("find");
    findButton.getStyleClass().setAll("find");
    findButton.setAccessibleText(Text.of("bar.find.name"));
    findButton.setMinWidth(Region.USE_PREF_SIZE);
    findButton.setOnAction(e -> find.run());
    fixture.setId("fixture");
    fixture.getStyleClass().setAll("button", "fixture");
    fixture.setMinWidth(Region.USE_PREF_SIZE);
    fixture.setOnAction(e -> show.accept(RotaryStation.STATION.id()));
    showFixture("");
    getChildren().addAll(machines, line, SheetFrame.spacer(), fixture, plaque, findButton);
  }

  /**
   * @param words what is in the machine; nothing where it is as usual
   */
  void showFixture(String words) {
    fixture.setText(words);
    fixture.setVisible(!words.isEmpty());
    fixture.setManaged(!words.isEmpty());
  }

  void show(Optional<Machine> open, List<Machine> all) {
    String name = open.map(Machine::name).orElse(Text.of("bar.no-machine"));
    machines.setText(name);
    machines.setAccessibleText(Text.of("bar.machines", name));
    line.setText(open.map(Machine::inOneLine).map(Text::of).orElse(""));
    plaque.setText(open.map(Machine::standingCaution).map(Text::of).orElse(""));
    plaque.setVisible(open.isPresent());
    machines.getItems().clear();
    for (Machine machine : all) {
      machines.getItems().add(item(machine.name(), () -> choose.accept(machine)));
    }
    if (!all.isEmpty()) {
      machines.getItems().add(new SeparatorMenuItem());
    }
    if (all.size() > 1) {
      machines.getItems().add(item(Text.of("command.all"), showAll));
    }
    machines.getItems().add(item(Text.of("command.new-machine"), addMachine));
  }

  private static MenuItem item(String words, Runnable run) {
    MenuItem item = new CustomMenuItem(new Label(words));
    item.setOnAction(e -> run.run());
    return item;
  }
}
