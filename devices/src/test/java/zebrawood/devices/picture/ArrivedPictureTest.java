package zebrawood.devices.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.measure.UnusableReading;

class ArrivedPictureTest {
  private static final Instant START = Instant.parse("2026-05-04T10:00:00Z");

  @TempDir private Path folder;

  private void put(String name, int secondsAfter) throws IOException {
    Path file = Files.writeString(folder.resolve(name), "x".repeat(10 + secondsAfter));
    Files.setLastModifiedTime(file, FileTime.from(START.plusSeconds(secondsAfter)));
  }

  @Test
  void theNewestPictureSinceThenIsTold() throws IOException {
    FileTime since = FileTime.from(START);
    assertThat(ArrivedPicture.newest(folder.toString(), since)).isEmpty();
    put("a.JPG", 5);
    put("b.png", 9);
    put("c.txt", 12);
    put(".d.png", 14);
    Files.createDirectory(folder.resolve("e.png"));
    ArrivedPicture newest = ArrivedPicture.newest(folder + " ", since).orElseThrow();
    assertThat(newest.file()).isEqualTo(folder.resolve("b.png"));
    assertThat(newest.bytes()).isEqualTo(19);
    assertThat(ArrivedPicture.newest(folder.toString(), FileTime.from(START.plusSeconds(10))))
        .isEmpty();
  }

  @Test
  void whatIsNoFolderIsSaid() throws IOException {
    put("a.jpg", 1);
    for (String no : new String[] {"nowhere", folder.resolve("a.jpg").toString(), "a\0b"}) {
      assertThatThrownBy(() -> ArrivedPicture.newest(no, FileTime.from(START)))
          .isInstanceOf(UnusableReading.class)
          .hasMessageContaining("no folder")
          .hasMessageContaining("a folder of this computer");
    }
  }
}
