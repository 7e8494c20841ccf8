package zebrawood.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;
import static zebrawood.desktop.app.Ran.run;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PractiseCommandTest {
  @Test
  void casesAreListedPlayedAndFollowed() {
    assertThat(run("practise").out()).contains("pale-at-the-rear: Pale at the rear");
    Ran begun = run("practise", "pale-at-the-rear", "--seed", "5", "--act", "look-at-guards");
    assertThat(begun.code()).isZero();
    assertThat(begun.out()).contains("3 min").contains("Can be done:").contains("level-y=N");
    Ran followed = run("practise", "commission", "--seed", "5", "--follow");
    assertThat(followed.out()).contains("Nobody was in danger").contains("Hand it over");
    assertThat(run("practise", "commission", "--seed", "5", "--follow").out())
        .isEqualTo(followed.out());
  }

  @Test
  void whatCannotBeDoneIsRefusedInASentence(@TempDir Path folder) throws Exception {
    assertThat(run("practise", "nothing").err()).contains("There is no case \"nothing\"");
    String[] wrong = {"fly", "level-x", "level-x=900", "read-bed=3", "level-x=far"};
    for (String act : wrong) {
      Ran said = run("practise", "pale-at-the-rear", "--act", act);
      assertThat(said.code()).as(act).isEqualTo(2);
      assertThat(said.err()).as(act).isNotBlank();
    }
    Ran late = run("practise", "camera-lid", "--act", "wipe-lens-dry", "--act", "ask");
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
