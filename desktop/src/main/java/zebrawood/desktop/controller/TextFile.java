package zebrawood.desktop.controller;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import zebrawood.records.file.WholeFile;
import zebrawood.words.Message;

/** A text file of a controller: its settings, or how it talks. */
final class TextFile {
  private static final int LONGEST = 200_000;

  private TextFile() {}

  /** Why it is none that can be taken, in a sentence. */
  static final class Refused extends Exception {
    private static final long serialVersionUID = 1L;
    private final transient Message said;

    Refused(Message said) {
      super(said.key());
      this.said = said;
    }

    Message said() {
      return said;
    }
  }

  /** In UTF-8 or, where it is none, one byte a letter. */
  static String read(String name) throws Refused {
    try {
      String text = decoded(WholeFile.read(Path.of(name.strip()), LONGEST));
      if (text.indexOf('\0') >= 0) {
        throw new Refused(Message.of("controller.file.no-text", Message.quoted(name)));
      }
      return text;
    } catch (WholeFile.TooLarge e) {
      throw new Refused(Message.of("controller.file.long", LONGEST / 1000));
    } catch (IOException | InvalidPathException e) {
      throw new Refused(Message.of("controller.file.bad", Message.quoted(name.strip())));
    }
  }

  private static String decoded(byte[] bytes) {
    try {
      return StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
    } catch (CharacterCodingException e) {
      return new String(bytes, StandardCharsets.ISO_8859_1);
    }
  }

  /** Never over a file that is there. */
  static void write(String name, String text) throws Refused {
    try {
      WholeFile.write(Path.of(name.strip()), out -> out.write(text));
    } catch (FileAlreadyExistsException e) {
      throw new Refused(Message.of("controller.file.there", Message.quoted(name.strip())));
    } catch (IOException | InvalidPathException e) {
      throw new Refused(Message.of("controller.file.bad", Message.quoted(name.strip())));
    }
  }
}
