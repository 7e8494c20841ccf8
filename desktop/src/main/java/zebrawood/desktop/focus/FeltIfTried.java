package zebrawood.desktop.focus;

import java.util.Optional;
import zebrawood.focus.FocusTask.Felt;

/** How the gauge goes in, as it is asked. */
public enum FeltIfTried {
  NOT_TRIED,
  TIGHT,
  TOUCHES,
  LEAVES_GAP;

  Optional<Felt> felt() {
    return this == NOT_TRIED ? Optional.empty() : Optional.of(Felt.valueOf(name()));
  }
}
