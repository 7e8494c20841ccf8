package zebrawood.desktop.app;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;

/** What the command line answered, run in this very process. */
record Ran(int code, String out, String err) {
  static Ran run(String... args) {
    PrintStream out = System.out;
    PrintStream err = System.err;
    ByteArrayOutputStream said = new ByteArrayOutputStream();
    ByteArrayOutputStream refused = new ByteArrayOutputStream();
    try {
      System.setOut(new PrintStream(said, true, StandardCharsets.UTF_8));
      System.setErr(new PrintStream(refused, true, StandardCharsets.UTF_8));
      int code = Zebrawood.run(args);
      return new Ran(
          code, said.toString(StandardCharsets.UTF_8), refused.toString(StandardCharsets.UTF_8));
    } finally {
      System.setOut(out);
      System.setErr(err);
    }
  }
}
