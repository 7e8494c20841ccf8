package zebrawood.records.workshop;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import zebrawood.words.Message;

/**
 * Holds a workshop file for this process, by a lock on a small file beside it. The system lets go
 * of the lock when the process ends, however it ends. The holder's words stand in a second file,
 * since some systems do not let anyone read a locked one.
 */
final class FileHold implements AutoCloseable {
  private final FileChannel channel;
  private final Path words;

  private FileHold(FileChannel channel, Path words) {
    this.channel = channel;
    this.words = words;
  }

  /** The hold, or empty when someone else has it. */
  static Optional<FileHold> take(Path workshop) throws IOException {
    Path lockFile = beside(workshop, ".lock");
    FileChannel channel =
        FileChannel.open(lockFile, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
    FileLock lock;
    try {
      lock = channel.tryLock();
    } catch (OverlappingFileLockException e) {
      lock = null; // another window of this very process
    }
    if (lock == null) {
      channel.close();
      return Optional.empty();
    }
    Path words = beside(workshop, ".holder");
    String text =
        "%d;%s"
            .formatted(
                ProcessHandle.current().pid(),
                LocalDateTime.now().truncatedTo(ChronoUnit.MINUTES).toString().replace('T', ' '));
    Files.write(words, text.getBytes(StandardCharsets.UTF_8));
    return Optional.of(new FileHold(channel, words));
  }

  /** Who holds it, in words. */
  static Message holder(Path workshop) {
    try {
      byte[] bytes = Files.readAllBytes(beside(workshop, ".holder"));
      String[] words = StandardCharsets.UTF_8.decode(ByteBuffer.wrap(bytes)).toString().split(";");
      return words.length == 2
          ? Message.of("workshop.holder", Message.quoted(words[0]), Message.quoted(words[1]))
          : Message.of("workshop.another-process");
    } catch (IOException e) {
      return Message.of("workshop.another-process");
    }
  }

  private static Path beside(Path workshop, String ending) {
    return workshop.resolveSibling(workshop.getFileName() + ending);
  }

  @Override
  public void close() throws IOException {
    Files.deleteIfExists(words);
    channel.close();
  }
}
