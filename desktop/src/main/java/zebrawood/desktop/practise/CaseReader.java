package zebrawood.desktop.practise;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Set;
import zebrawood.devices.whole.CaseFile;
import zebrawood.measure.UnusableReading;
import zebrawood.records.json.RecordJson;
import zebrawood.words.Message;

/** A trainer's own case, read from its file. */
public final class CaseReader {
  private CaseReader() {}

  /**
   * @throws UnusableReading where it is no case, with what is wrong
   */
  public static CaseFile read(String name) {
    try {
      Path path = Path.of(name);
      if (!Files.isRegularFile(path)) {
        throw refused("practise.file.none", name);
      }
      if (Files.size(path) > CaseFile.MOST_BYTES) {
        throw refused("practise.file.large", name);
      }
      return RecordJson.read(Files.readAllBytes(path), CaseFile.class, Set.of());
    } catch (IOException | InvalidPathException e) {
      throw refused("practise.file.unreadable", name);
    }
  }

  private static UnusableReading refused(String why, String name) {
    return UnusableReading.of(
        "file", Message.of(why, Message.quoted(name)), Message.of("practise.file.accepted"));
  }
}
