package zebrawood.desktop.shell;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedMap;
import javafx.beans.property.BooleanProperty;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.TypedField;
import zebrawood.desktop.sheet.WrappedLabel;
import zebrawood.desktop.station.SheetHost;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.records.workshop.TwoDescriptions;
import zebrawood.records.workshop.TwoDescriptions.Described;
import zebrawood.words.Message;

/** A machine that two computers described anew: what differs, beside each other, to choose from. */
final class TwoDescriptionsCard {
  private static final double NAME = 170;
  private static final double SAID = 190;
  private static final double MOST_HEIGHT = 320;

  private final Cards cards;
  private final SheetHost host;
  private final TwoDescriptions two;

  private TwoDescriptionsCard(Cards cards, SheetHost host, TwoDescriptions two) {
    this.cards = cards;
    this.host = host;
    this.two = two;
  }

  static void open(Cards cards, SheetHost host, TwoDescriptions two) {
    new TwoDescriptionsCard(cards, host, two).show();
  }

  /** One line that differs. */
  record Difference(String name, String one, String other) {}

  /** What differs, in the order of the machine's form. */
  static List<Difference> differences(Machine one, Machine other) {
    SequencedMap<String, String> left = told(one);
    SequencedMap<String, String> right = told(other);
    SequencedMap<String, String> names = new LinkedHashMap<>(left);
    right.forEach(names::putIfAbsent);
    List<Difference> differences = new ArrayList<>();
    names
        .keySet()
        .forEach(name -> {
          String first = left.getOrDefault(name, "");
          String second = right.getOrDefault(name, "");
          if (!first.equals(second)) {
            differences.add(new Difference(name, first, second));
          }
        });
    return differences;
  }

  /** Every field of the machine's form by its name, in words. */
  private static SequencedMap<String, String> told(Machine machine) {
    MachineForm form = new MachineForm(List.of(), Text.words(), Optional.of(machine));
    SequencedMap<String, String> told = new LinkedHashMap<>();
    form.form().fields().filter(form::applies).forEach(f -> told.put(Text.of(f.label()), said(f)));
    for (Map.Entry<Fitting, BooleanProperty> fitted : form.fitted().entrySet()) {
      told.put(
          Text.of(Message.of(fitted.getKey())),
          Text.of(fitted.getValue().get() ? "twice.fitted" : "twice.not-fitted"));
    }
    return told;
  }

  private static String said(Field field) {
    return switch (field) {
      case TypedField typed -> typed.text().strip();
      case ChoiceField<?> choice -> Text.of(Message.of(choice.get()));
      default -> "";
    };
  }

  private void show() {
    GridPane grid = new GridPane(12, 6);
    grid.setId("twice-rows");
    grid.getColumnConstraints()
        .addAll(
            new ColumnConstraints(NAME), new ColumnConstraints(SAID), new ColumnConstraints(SAID));
    grid.addRow(0, new Label(), head(two.one(), "twice.here"), head(two.other(), "twice.come"));
    for (Difference d : differences(two.one().machine(), two.other().machine())) {
      grid.addRow(
          grid.getRowCount(),
          new WrappedLabel(d.name(), "soft"),
          new WrappedLabel(d.one().isEmpty() ? "\u2013" : d.one(), "prove-title"),
          new WrappedLabel(d.other().isEmpty() ? "\u2013" : d.other(), "prove-title"));
    }
    ScrollPane scroll = new ScrollPane(grid);
    scroll.setFitToWidth(true);
    scroll.setMaxHeight(MOST_HEIGHT);
    var one = Card.primary("twice-one", Text.of("twice.keep-here"), () -> keep(two.one()));
    VBox card =
        Card.of(
            Text.of("twice.title", two.one().machine().name()),
            Card.words(Text.of("twice.why")),
            scroll,
            Card.buttons(
                Card.button("twice-cancel", Text.of("button.cancel"), cards::close),
                Card.button("twice-other", Text.of("twice.keep-come"), () -> keep(two.other())),
                one));
    cards.open(card, one);
  }

  private Label head(Described described, String key) {
    return new WrappedLabel(
        Text.of(
            key,
            DayWords.dayAndTime(described.at(), host.workshop().clock().getZone()),
            described.by()),
        "soft");
  }

  /** It is written down anew, so that the other computer learns of it as well. */
  private void keep(Described chosen) {
    cards.close();
    host.withInitials(() ->
        host.workshop()
            .add(
                chosen.machine(),
                () -> host.workshop().say(Text.of("twice.kept", chosen.machine().name())),
                () -> {}));
  }
}
