package zebrawood.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;
import static zebrawood.desktop.app.Ran.run;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ManualCommandTest {
  @TempDir Path folder;

  @Test
  void aFolderGetsThePagesWithThePicturesThatAreThere() throws IOException {
    Path pictures = Files.createDirectories(folder.resolve("shots"));
    Files.writeString(pictures.resolve("bed.png"), "");
    Path pages = folder.resolve("manual");
    assertThat(run("manual", pages.toString(), "--pictures", pictures.toString()).code()).isZero();
    assertThat(Files.readString(pages.resolve("bed.md"))).contains("![Bed](../shots/bed.png)");
    assertThat(Files.readString(pages.resolve("focus.md"))).doesNotContain("![");
    // Once more writes the same over what is there.
    String before = Files.readString(pages.resolve("README.md"));
    assertThat(run("manual", pages.toString()).code()).isZero();
    assertThat(Files.readString(pages.resolve("README.md"))).isEqualTo(before);
  }

  @Test
  void oneFileIsNeverWrittenOverAnother() throws IOException {
    Path file = folder.resolve("manual.HTML");
    assertThat(run("manual", file.toString()).out()).contains("manual.HTML");
    String written = Files.readString(file);
    assertThat(written).startsWith("<!DOCTYPE html>");
    Ran again = run("manual", file.toString());
    assertThat(again.code()).isEqualTo(2);
    assertThat(again.err()).contains("manual.HTML").doesNotContain("Exception");
    Path plain = Files.writeString(folder.resolve("plain"), "mine");
    assertThat(run("manual", plain.toString()).code()).isEqualTo(2);
    assertThat(Files.readString(plain)).isEqualTo("mine");
  }
}
