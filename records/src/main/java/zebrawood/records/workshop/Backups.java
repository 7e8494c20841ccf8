package zebrawood.records.workshop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Copies of a workshop in a folder beside it, one a day: those of the last week, and of the two
 * months before it one a week. Each is opened and looked at before it counts.
 */
public final class Backups {
  private static final int DAYS = 7;
  private static final int WEEKS = 9;
  private static final int BYTES_OF_A_KILOBYTE = 1000;
  private static final String ENDING = ".zebrawood";

  private final Path folder;

  /**
   * A copy.
   *
   * @param day on which it was made
   */
  public record Backup(LocalDate day, Path file, long kilobytes) {}

  public Backups(Path workshop) {
    Path file = WorkshopFile.real(workshop.toAbsolutePath());
    folder = file.resolveSibling(file.getFileName() + ".backups");
  }

  /** What is there, the newest first. */
  public List<Backup> all() throws IOException {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> files = Files.list(folder)) {
      return files
          .flatMap(f -> day(f).map(d -> new Backup(d, f, kilobytes(f))).stream())
          .sorted(Comparator.comparing(Backup::day).reversed())
          .toList();
    }
  }

  private static long kilobytes(Path file) {
    return file.toFile().length() / BYTES_OF_A_KILOBYTE;
  }

  private static Optional<LocalDate> day(Path file) {
    String name = file.getFileName().toString();
    try {
      return name.endsWith(ENDING)
          ? Optional.of(LocalDate.parse(name.substring(0, name.length() - ENDING.length())))
          : Optional.empty();
    } catch (DateTimeParseException e) {
      return Optional.empty();
    }
  }

  /** Keeps a copy of this day, where there is none and the file is sound. */
  Soundness keep(Sql sql, Path file, LocalDate today) throws IOException {
    Soundness sound = Soundness.of(file);
    Path copy = folder.resolve(today + ENDING);
    if (!(sound instanceof Soundness.Sound) || Files.exists(copy)) {
      return sound;
    }
    Files.createDirectories(folder);
    Path part = folder.resolve(today + ".part");
    Files.deleteIfExists(part);
    sql.run("VACUUM INTO ?", part.toString());
    OwnerOnly.make(part);
    if (Soundness.of(part) instanceof Soundness.Sound) {
      Files.move(part, copy);
      tidy(today);
    } else {
      Files.deleteIfExists(part);
    }
    return sound;
  }

  /** Takes away those that are neither of the last week nor the first of their week. */
  private void tidy(LocalDate today) throws IOException {
    Set<Long> weeks = new HashSet<>();
    List<Backup> old = new ArrayList<>(all());
    old.sort(Comparator.comparing(Backup::day));
    for (Backup backup : old) {
      long age = ChronoUnit.DAYS.between(backup.day(), today);
      long week = Math.floorDiv(backup.day().toEpochDay(), DAYS);
      boolean kept = age < DAYS || age < (long) DAYS * WEEKS && weeks.add(week);
      if (!kept) {
        Files.deleteIfExists(backup.file());
      }
    }
  }
}
