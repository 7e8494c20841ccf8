package zebrawood.desktop.shell;

import java.util.List;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import zebrawood.desktop.command.Command;

/** The keys that work anywhere in the window, while no card is open. */
final class ShellKeys {
  private static final List<KeyCombination> FIND =
      List.of(KeyCombination.valueOf("Ctrl+Space"), KeyCombination.valueOf("Ctrl+K"));

  private static final List<KeyCombination> LARGER =
      List.of(
          KeyCombination.valueOf("Ctrl+Plus"),
          KeyCombination.valueOf("Ctrl+Equals"),
          KeyCombination.valueOf("Ctrl+Shift+Equals"),
          KeyCombination.valueOf("Ctrl+Add"));

  private static final List<KeyCombination> SMALLER =
      List.of(KeyCombination.valueOf("Ctrl+Minus"), KeyCombination.valueOf("Ctrl+Subtract"));

  /** Between the rail and the page. */
  private static final KeyCombination SWITCH = KeyCombination.valueOf("F6");

  private final Shell shell;
  private final ShellCommands commands;
  private final HelpDesk help;

  ShellKeys(Shell shell, ShellCommands commands, HelpDesk help) {
    this.shell = shell;
    this.commands = commands;
    this.help = help;
  }

  void pressed(KeyEvent event) {
    if (help.isOpen()) {
      return;
    }
    if (event.getCode() == KeyCode.F1 && !event.isShiftDown()) {
      event.consume();
      help.tell();
    } else if (!shell.cardIsOpen()) {
      action(event)
          .ifPresent(run -> {
            event.consume();
            run.run();
          });
    }
  }

  private Optional<Runnable> action(KeyEvent event) {
    if (is(FIND, event)) {
      return Optional.of(shell::palette);
    }
    if (is(LARGER, event)) {
      return Optional.of(() -> shell.resize(1));
    }
    if (is(SMALLER, event)) {
      return Optional.of(() -> shell.resize(-1));
    }
    if (SWITCH.match(event)) {
      return Optional.of(shell::switchSides);
    }
    if (!event.isControlDown() && !event.getCode().isFunctionKey()) {
      return Optional.empty();
    }
    return commands.all().stream()
        .filter(c -> c.shortcut().filter(k -> k.match(event)).isPresent())
        .findFirst()
        .map(Command::run);
  }

  private static boolean is(List<KeyCombination> keys, KeyEvent event) {
    return keys.stream().anyMatch(k -> k.match(event));
  }
}
