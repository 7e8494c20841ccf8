package zebrawood.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PractiseCommandTest {
  private record Said(int code, String out, String err) {}

  private static Said run(String... args) {
    PrintStream out = System.out;
    PrintStream err = System.err;
    ByteArrayOutputStream said = new ByteArrayOutputStream();
    ByteArrayOutputStream refused = new ByteArrayOutputStream();
    try {
      System.setOut(new PrintStream(said, true, StandardCharsets.UTF_8));
      System.setErr(new PrintStream(refused, true, StandardCharsets.UTF_8));
      int code = Zebrawood.run(args);
      return new Said(
          code, said.toString(StandardCharsets.UTF_8), refused.toString(StandardCharsets.UTF_8));
    } finally {
      System.setOut(out);
      System.setErr(err);
    }
  }

  @Test
  void casesAreListedPlayedAndFollowed() {
    assertThat(run("practise").out()).contains("pale-at-the-rear: Pale at the rear");
    Said begun = run("practise", "pale-at-the-rear", "--seed", "5", "--act", "look-at-guards");
    assertThat(begun.code()).isZero();
    assertThat(begun.out()).contains("3 min").contains("Can be done:").contains("level-y=N");
    Said followed = run("practise", "commission", "--seed", "5", "--follow");
    assertThat(followed.out()).contains("Nobody was in danger").contains("Hand it over");
    assertThat(run("practise", "commission", "--seed", "5", "--follow").out())
        .isEqualTo(followed.out());
  }

  @Test
  void whatCannotBeDoneIsRefusedInASentence(@TempDir Path folder) throws Exception {
    assertThat(run("practise", "nothing").err()).contains("There is no case \"nothing\"");
    String[] wrong = {"fly", "level-x", "level-x=900", "read-bed=3", "level-x=far"};
    for (String act : wrong) {
      Said said = run("practise", "pale-at-the-rear", "--act", act);
      assertThat(said.code()).as(act).isEqualTo(2);
      assertThat(said.err()).as(act).isNotBlank();
    }
    Said late = run("practise", "camera-lid", "--act", "wipe-lens-dry", "--act", "ask");
    assertThat(late.err()).contains("the case is over");
    Path file =
        Files.writeString(
            folder.resolve("case.json"),
            """
            {"zebrawoodCase": 2, "name": "Mine", "machine": "galvo", "says": "Help.", "counts":
            ["focus"], "hidden": [], "inOrder": [], "asLeft": false, "seed": 1}
            """);
    assertThat(run("practise", "--file", file.toString()).err()).contains("zebrawoodCase");
    Path large = Files.write(folder.resolve("large.json"), new byte[200_000]);
    assertThat(run("practise", "--file", large.toString()).err()).contains("too large");
  }
}
