package zebrawood.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.logging.Handler;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.slf4j.LoggerFactory;

class LogFileTest {
  private static final Logger ROOT = Logger.getLogger("");

  @TempDir Path folder;
  private List<Handler> before;
  private Level level;

  @BeforeEach
  void remember() {
    before = List.of(ROOT.getHandlers());
    level = ROOT.getLevel();
  }

  @AfterEach
  void putBack() {
    for (Handler handler : ROOT.getHandlers()) {
      ROOT.removeHandler(handler);
      handler.close();
    }
    before.forEach(ROOT::addHandler);
    ROOT.setLevel(level);
  }

  @Test
  void aFileIsMadeAtTheFirstWarningAndKeepsIt() throws IOException {
    Path file = folder.resolve("below/100%/zebrawood.log");
    LogFile.begin(file);
    LoggerFactory.getLogger("someone").info("nothing of this is kept");
    assertThat(file).doesNotExist();
    LoggerFactory.getLogger("someone").error("it broke", new IllegalStateException("here"));
    assertThat(Files.readString(file))
        .contains("SEVERE")
        .contains("it broke")
        .contains("IllegalStateException: here")
        .doesNotContain("nothing of this");
  }

  @Test
  void whereNoFileCanBeMadeTheRestGoesOn() throws IOException {
    Path inTheWay = Files.writeString(folder.resolve("file"), "");
    LogFile.begin(inTheWay.resolve("zebrawood.log"));
    LoggerFactory.getLogger("someone").warn("said on the console");
    assertThat(Files.readString(inTheWay)).isEmpty();
  }
}
