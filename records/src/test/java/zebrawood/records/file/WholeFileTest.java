package zebrawood.records.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

class WholeFileTest {
  @TempDir Path folder;

  @Test
  void aFileIsThereWholeOrNotAtAll() {
    Path file = folder.resolve("list.csv");
    assertThatThrownBy(() ->
            WholeFile.write(
                file,
                out -> {
                  out.write("half of it");
                  out.flush();
                  throw new IOException("disk full");
                }))
        .hasMessage("disk full");
    assertThat(folder).isEmptyDirectory();
  }

  @Test
  void aFileThatIsThereStays() throws IOException {
    Path file = folder.resolve("list.csv");
    WholeFile.write(file, out -> out.write("one"));
    assertThatThrownBy(() -> WholeFile.write(file, out -> out.write("two")))
        .isInstanceOf(FileAlreadyExistsException.class);
    assertThat(file).hasContent("one");
    assertThat(folder.toFile().list()).containsExactly("list.csv");
  }

  @Test
  void whatIsTooLargeOrOfAnotherCodingIsNotRead() throws IOException {
    Path file = folder.resolve("text");
    Files.writeString(file, "twelve bytes");
    assertThat(WholeFile.readText(file, 12)).isEqualTo("twelve bytes");
    assertThatThrownBy(() -> WholeFile.readText(file, 11)).isInstanceOf(WholeFile.TooLarge.class);
    Files.write(file, new byte[] {(byte) 0xe9, 'a'});
    assertThatThrownBy(() -> WholeFile.readText(file, 12))
        .isInstanceOf(CharacterCodingException.class);
    assertThatThrownBy(() -> WholeFile.read(folder, 12)).isInstanceOf(NoSuchFileException.class);
  }

  @Test
  @Timeout(20)
  void aPipeIsNotWaitedFor() throws IOException, InterruptedException {
    Path pipe = folder.resolve("pipe");
    Process made;
    try {
      made = new ProcessBuilder("mkfifo", pipe.toString()).start();
    } catch (IOException e) {
      assumeTrue(false, "no pipes here");
      return;
    }
    assumeTrue(made.waitFor(5, TimeUnit.SECONDS) && made.exitValue() == 0);
    assertThatThrownBy(() -> WholeFile.read(pipe, 12)).isInstanceOf(NoSuchFileException.class);
    assertThatThrownBy(() -> WholeFile.read(Path.of("/dev/zero"), 12))
        .isInstanceOf(NoSuchFileException.class);
  }
}
