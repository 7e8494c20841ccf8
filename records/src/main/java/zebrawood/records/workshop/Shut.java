package zebrawood.records.workshop;

import java.nio.file.Path;

/** Nothing more is written to the workshop file that was opened. */
public abstract sealed class Shut extends RuntimeException {
  private static final long serialVersionUID = 1;

  private Shut(Path file) {
    super(file.toString());
  }

  /** It was removed, replaced or renamed while it was open. */
  public static final class Gone extends Shut {
    private static final long serialVersionUID = 1;

    Gone(Path file) {
      super(file);
    }
  }

  /** It is damaged. */
  public static final class Damaged extends Shut {
    private static final long serialVersionUID = 1;

    Damaged(Path file) {
      super(file);
    }
  }
}
