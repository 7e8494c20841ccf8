package zebrawood.desktop.shell;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.machine.Machine;
import zebrawood.records.passport.PassportFile;
import zebrawood.records.workshop.Merged;
import zebrawood.records.workshop.TwoDescriptions;
import zebrawood.records.workshop.Workshop;

/** A machine's whole record into a file, or out of one. */
final class PassportCard {
  private static final String ID = "passport";

  private PassportCard() {}

  /** Asks for the file that the open machine's passport is written into. */
  static void write(Cards cards, WorkshopModel workshop) {
    Machine machine = workshop.opened().machine();
    String name = machine.name().strip().toLowerCase(Locale.ROOT);
    Path beside = workshop.file().toAbsolutePath();
    FileCard.open(
        cards,
        new FileCard.Words(
            ID,
            Text.of("passport.out"),
            Text.of("passport.out.why"),
            Text.of("passport.write"),
            beside
                .resolveSibling(name.replaceAll("[^\\p{L}\\p{N}]+", "-") + ".passport")
                .toString()),
        (file, card) ->
            workshop.withFile(
                w -> written(w, machine, file),
                lines -> {
                  card.done();
                  workshop.say(Text.of("passport.written", machine.name(), file.toString()));
                },
                card::failed));
  }

  private static int written(Workshop workshop, Machine machine, Path file) {
    try {
      return PassportFile.write(workshop, machine, file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * Asks for a passport's file that is taken in.
   *
   * @param offered the file that stands there at first; possibly empty
   * @param onTwice told where the machine turns out to be described anew on both sides
   */
  static void take(
      Cards cards, WorkshopModel workshop, String offered, Consumer<TwoDescriptions> onTwice) {
    FileCard.open(
        cards,
        new FileCard.Words(
            ID,
            Text.of("passport.in"),
            Text.of("passport.in.why"),
            Text.of("passport.take"),
            offered),
        (file, card) ->
            workshop.withFile(
                w -> taken(w, file), taken -> say(taken, workshop, card, onTwice), card::failed));
  }

  /** What was taken in, and the machine as it is now. */
  private record Taken(Merged merged, Optional<Machine> machine) {}

  private static Taken taken(Workshop workshop, Path file) {
    try {
      PassportFile passport = PassportFile.read(file, Workshop.version());
      Merged merged = workshop.merge(passport.machineId(), passport.rows());
      return new Taken(
          merged,
          workshop.machines().readable().stream()
              .filter(m -> m.id().equals(passport.machineId()))
              .findFirst());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void say(
      Taken taken, WorkshopModel workshop, FileCard card, Consumer<TwoDescriptions> onTwice) {
    Merged merged = taken.merged;
    String said =
        Text.of(
            merged.bothChanged() ? "passport.taken-both" : "passport.taken",
            taken.machine.map(Machine::name).orElse("\u2013"),
            merged.added(),
            merged.known());
    Runnable then =
        () -> {
          card.done();
          workshop.say(said);
          Optional.ofNullable(workshop.opened()).flatMap(o -> o.twice()).ifPresent(onTwice);
        };
    taken.machine.ifPresentOrElse(machine -> workshop.readAgain(machine, then), then);
  }
}
