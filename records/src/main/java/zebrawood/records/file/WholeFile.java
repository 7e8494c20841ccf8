package zebrawood.records.file;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.UUID;

/** Reads a plain file whole, and writes one whole or not at all. */
public final class WholeFile {
  private WholeFile() {}

  /** The file is larger than what it is taken for ever is. */
  public static final class TooLarge extends IOException {
    private static final long serialVersionUID = 1;

    TooLarge(Path file) {
      super(file.toString());
    }
  }

  /** Puts a text into a writer. */
  @FunctionalInterface
  public interface Text {
    void writeTo(Writer out) throws IOException;
  }

  /** Puts bytes into a stream. */
  @FunctionalInterface
  public interface Bytes {
    void writeTo(OutputStream out) throws IOException;
  }

  /**
   * @param most bytes
   * @throws NoSuchFileException where there is no plain file, but nothing, a folder or a pipe
   * @throws TooLarge where there are more
   */
  public static byte[] read(Path file, int most) throws IOException {
    if (!Files.isRegularFile(file)) {
      throw new NoSuchFileException(file.toString());
    }
    try (InputStream in = Files.newInputStream(file)) {
      byte[] bytes = in.readNBytes(most);
      if (bytes.length == most && in.read() >= 0) {
        throw new TooLarge(file);
      }
      return bytes;
    }
  }

  /**
   * The text of a file in UTF-8.
   *
   * @throws CharacterCodingException where it is in another coding
   */
  public static String readText(Path file, int most) throws IOException {
    return StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(read(file, most))).toString();
  }

  /**
   * Writes a new file.
   *
   * @throws FileAlreadyExistsException where there is one
   */
  public static void write(Path file, Text text) throws IOException {
    writeBytes(
        file,
        out -> {
          Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
          text.writeTo(writer);
          writer.flush();
        });
  }

  /**
   * Writes a new file.
   *
   * @throws FileAlreadyExistsException where there is one
   */
  public static void writeBytes(Path file, Bytes bytes) throws IOException {
    Path target = file.toAbsolutePath();
    if (Files.exists(target)) {
      throw new FileAlreadyExistsException(target.toString());
    }
    Path part = target.resolveSibling(target.getFileName() + "." + UUID.randomUUID() + ".part");
    try {
      try (OutputStream out =
          new BufferedOutputStream(Files.newOutputStream(part, StandardOpenOption.CREATE_NEW))) {
        bytes.writeTo(out);
      }
      Files.move(part, target);
    } finally {
      Files.deleteIfExists(part);
    }
  }
}
