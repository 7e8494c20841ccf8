package zebrawood.desktop.shell;

import java.util.Optional;
import javafx.scene.input.KeyCombination;

/**
 * Something that can be done from the palette, and by a shortcut where it has one.
 *
 * @param words as listed
 */
public record Command(String words, Optional<KeyCombination> shortcut, Runnable run) {
  static Command of(String words, Runnable run) {
    return new Command(words, Optional.empty(), run);
  }

  static Command of(String words, String keys, Runnable run) {
    return new Command(words, Optional.of(KeyCombination.valueOf(keys)), run);
  }
}
