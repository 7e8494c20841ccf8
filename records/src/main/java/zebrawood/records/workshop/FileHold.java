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
import org.slf4j.LoggerFactory;
import zebrawood.words.Message;

/**
 * Holds a workshop file for this process, by a lock on a small file beside it. The system lets go
 * of the lock when the process ends, however it ends. The holder's words stand in a second file,
 * since some systems do not let anyone read a locked one.
 */
final class FileHold implements AutoCloseable {
  private static final int MOST_TRIES = 20;

  private final FileChannel channel;
  private final Path words;
  private final Path lockFile;

  private FileHold(FileChannel channel, Path words, Path lockFile) {
    this.channel = channel;
    this.words = words;
    this.lockFile = lockFile;
  }

  /** Locked, and still the file of that name: whoever let go of it took it away. */
  private static Optional<FileChannel> locked(Path lockFile) throws IOException {
    for (int i = 0; i < MOST_TRIES; i++) {
      FileChannel channel =
          FileChannel.open(lockFile, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
      FileIdentity opened = FileIdentity.of(lockFile);
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
      if (opened.isStill(lockFile)) {
        return Optional.of(channel);
      }
      channel.close();
    }
    return Optional.empty();
  }

  /** The hold, or empty when someone else has it. */
  static Optional<FileHold> take(Path workshop) throws IOException {
    Path lockFile = beside(workshop, ".lock");
    Optional<FileChannel> locked = locked(lockFile);
    if (locked.isEmpty()) {
      return Optional.empty();
    }
    FileChannel channel = locked.get();
    Path words = beside(workshop, ".holder");
    String text =
        "%d;%s"
            .formatted(
                ProcessHandle.current().pid(),
                LocalDateTime.now().truncatedTo(ChronoUnit.MINUTES).toString().replace('T', ' '));
    Files.write(words, text.getBytes(StandardCharsets.UTF_8));
    return Optional.of(new FileHold(channel, words, lockFile));
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
    try {
      Files.deleteIfExists(lockFile);
    } catch (IOException e) {
      // Some systems take nothing away that is open; it is taken again the next time.
      LoggerFactory.getLogger(FileHold.class).debug("the lock stays: {}", lockFile, e);
    }
    channel.close();
  }
}
