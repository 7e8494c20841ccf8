package zebrawood.desktop.command;

import java.util.Optional;
import javafx.scene.input.KeyCombination;
import zebrawood.words.Message;

/**
 * Something that can be done from the palette, and by a shortcut where it has one.
 *
 * @param words as listed
 * @param also what it is found by beside its words; possibly empty
 */
public record Command(Message words, String also, Optional<KeyCombination> shortcut, Runnable run) {
  public static Command of(Message words, Runnable run) {
    return new Command(words, "", Optional.empty(), run);
  }

  public static Command of(Message words, String keys, Runnable run) {
    return new Command(words, "", Optional.of(KeyCombination.valueOf(keys)), run);
  }

  /** The same, found by something else as well. */
  public Command foundBy(String other) {
    return new Command(words, other, shortcut, run);
  }
}
