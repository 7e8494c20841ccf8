package zebrawood.desktop.controller;

import java.util.Optional;
import zebrawood.controller.Role;

/** What a switch stands at after it was flipped. */
public enum ChangedTo {
  ON(Optional.of(Role.ON)),
  OFF(Optional.of(Role.OFF)),
  /** It is a number, or has other meanings. */
  OTHER(Optional.empty());

  private final Optional<String> meaning;

  ChangedTo(Optional<String> meaning) {
    this.meaning = meaning;
  }

  Optional<String> meaning() {
    return meaning;
  }
}
