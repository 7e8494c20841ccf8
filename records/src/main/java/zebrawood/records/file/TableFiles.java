package zebrawood.records.file;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * A table as two files of one name, CSV and JSON: both or none, and never over one that is there.
 */
public final class TableFiles {
  private TableFiles() {}

  /** A name without the ending of either kind. */
  public static String plain(String name) {
    return name.strip().replaceFirst("\\.(csv|json)$", "");
  }

  /**
   * @param name a path without ending; an ending of either kind is taken off
   * @throws UnusableReading when they cannot be written
   */
  public static void write(String name, WholeFile.Text csvText, WholeFile.Text jsonText) {
    String plain = plain(name);
    try {
      Path csv = Path.of(plain + ".csv");
      Path json = Path.of(plain + ".json");
      if (Files.exists(csv) || Files.exists(json)) {
        throw new FileAlreadyExistsException(plain);
      }
      WholeFile.write(csv, csvText);
      try {
        WholeFile.write(json, jsonText);
      } catch (IOException e) {
        // One without the other would be half of it.
        Files.deleteIfExists(csv);
        throw e;
      }
    } catch (FileAlreadyExistsException e) {
      throw refused("field.file.there", plain);
    } catch (IOException | InvalidPathException e) {
      throw refused("field.file.not-written", plain);
    }
  }

  /**
   * @param why the key of what is wrong with the file
   */
  public static UnusableReading refused(String why, String path) {
    return UnusableReading.of(
        "file", Message.of(why, Message.quoted(path)), Message.of("field.file.accepted"));
  }
}
