package zebrawood.desktop.shell;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import zebrawood.desktop.command.Command;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.text.Text;
import zebrawood.words.Message;

/** Find or do: everything the window can do, by a few letters. */
final class PaletteCard {
  /** Ends the key of what is looked for by other words: a symptom, a tool, another language. */
  private static final String OTHER = ".other";

  private static final Pattern BETWEEN = Pattern.compile("[^\\p{L}\\p{N}]+");

  private final Cards cards;
  private final List<Sought> commands;
  private final TextField field = new TextField();
  private final ListView<Command> list = new ListView<>();

  private PaletteCard(Cards cards, List<Command> commands) {
    this.cards = cards;
    this.commands = commands.stream().map(Sought::of).toList();
  }

  /**
   * A command with what it is found by, made once and not at each key.
   *
   * @param text in small letters
   * @param words of the text
   */
  private record Sought(Command command, String text, Set<String> words) {
    static Sought of(Command command) {
      String text = sought(command).toLowerCase(Locale.ROOT);
      return new Sought(command, text, new HashSet<>(List.of(BETWEEN.split(text))));
    }
  }

  static void open(Cards cards, List<Command> commands) {
    new PaletteCard(cards, commands).open();
  }

  private void open() {
    field.setId("palette-field");
    field.setPromptText(Text.of("palette.prompt"));
    field.setAccessibleText(Text.of("palette.title"));
    list.setId("palette-list");
    list.setFocusTraversable(false);
    list.setPrefSize(560, 340);
    list.setFixedCellSize(32);
    Label nothing = new Label(Text.of("palette.nothing"));
    list.setPlaceholder(nothing);
    list.setCellFactory(l -> new CommandCell());
    list.setOnMouseClicked(e -> run());
    field.textProperty().subscribe(this::find);
    field.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    cards.open(new VBox(8, field, list), field);
  }

  private void find(String typed) {
    List<String> words =
        Stream.of(typed.toLowerCase(Locale.ROOT).split("\\s+")).filter(w -> !w.isEmpty()).toList();
    list.getItems()
        .setAll(
            commands.stream()
                .filter(c -> words.stream().allMatch(c.text::contains))
                // What has whole words stands before what only has parts of them.
                .sorted(Comparator.comparing(c -> !c.words.containsAll(words)))
                .map(Sought::command)
                .toList());
    list.getSelectionModel().selectFirst();
  }

  /** What it is listed as, and other words that people look for. */
  private static String sought(Command command) {
    StringBuilder sought = new StringBuilder(Text.of(command.words()));
    sought.append(' ').append(command.also());
    Stream.concat(Stream.of(command.words()), command.words().arguments().stream())
        .filter(Message.class::isInstance)
        .map(m -> ((Message) m).key() + OTHER)
        .filter(Text.words()::has)
        .forEach(key -> sought.append(' ').append(Text.of(key)));
    return sought.toString();
  }

  private void key(KeyEvent event) {
    int selected = list.getSelectionModel().getSelectedIndex();
    if (event.getCode() == KeyCode.DOWN) {
      select(selected + 1);
    } else if (event.getCode() == KeyCode.UP) {
      select(selected - 1);
    } else if (event.getCode() == KeyCode.ENTER) {
      run();
    } else {
      return;
    }
    event.consume();
  }

  private void select(int index) {
    int within = Math.clamp(index, 0, Math.max(0, list.getItems().size() - 1));
    list.getSelectionModel().select(within);
    list.scrollTo(Math.max(0, within - 4));
  }

  private void run() {
    Command command = list.getSelectionModel().getSelectedItem();
    if (command != null) {
      cards.close();
      command.run().run();
    }
  }

  private static final class CommandCell extends ListCell<Command> {
    /** As they are written on the keyboards of those who speak so. */
    private static String keys(KeyCombination shortcut) {
      return shortcut.getDisplayText().replace("Ctrl", Text.of("palette.control"));
    }

    @Override
    protected void updateItem(Command command, boolean empty) {
      super.updateItem(command, empty);
      if (empty || command == null) {
        setGraphic(null);
        return;
      }
      Label keys = new Label(command.shortcut().map(CommandCell::keys).orElse(""));
      keys.getStyleClass().add("keys");
      keys.setVisible(!keys.getText().isEmpty());
      setPrefWidth(0);
      setGraphic(new HBox(8, new Label(Text.of(command.words())), SheetFrame.spacer(), keys));
    }
  }
}
