package zebrawood.desktop.workshop;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import zebrawood.desktop.text.Text;
import zebrawood.records.workshop.Backups;
import zebrawood.records.workshop.Backups.Backup;
import zebrawood.records.workshop.Restored;
import zebrawood.records.workshop.Shut;
import zebrawood.records.workshop.Workshop;
import zebrawood.words.Message;

/**
 * Whether the workshop's file can still be recorded in; where it cannot, how work goes on: in
 * another file, or with a copy in its place. All belongs to the interface's thread.
 */
public final class FileState {
  private final WorkshopModel model;
  private final Workshop workshop;
  private final DiskThread disk;
  private final ReadOnlyBooleanWrapper lost = new ReadOnlyBooleanWrapper();
  private Optional<Message> damage = Optional.empty();

  FileState(WorkshopModel model, Workshop workshop, DiskThread disk) {
    this.model = model;
    this.workshop = workshop;
    this.disk = disk;
  }

  /** The key of what is said where something could not be written or read. */
  static String keyOf(RuntimeException because, String otherwise) {
    return switch (because) {
      case Shut.Gone gone -> "workshop.gone";
      case Shut.Damaged damaged -> "workshop.shut";
      default -> otherwise;
    };
  }

  void failed(RuntimeException because) {
    lost.set(lost.get() || because instanceof Shut);
  }

  /** Whether nothing can be recorded: the file that was opened is gone, or damaged. */
  public ReadOnlyBooleanProperty lostProperty() {
    return lost.getReadOnlyProperty();
  }

  /** The file is damaged: what is sound is shown, and nothing is recorded in it. */
  public void tellDamage(Message because) {
    workshop.foundDamaged();
    damage = Optional.of(because);
    model.say(Text.words().sentence(because));
    lost.set(true);
  }

  /** What is wrong with the file, where it is damaged. */
  public Optional<Message> damage() {
    return damage;
  }

  private void inOrder() {
    damage = Optional.empty();
    lost.set(false);
  }

  /**
   * Saves all that is recorded and typed in another file and goes on there.
   *
   * @param then gets why it could not be, or nothing
   */
  public void goOnIn(Path chosen, Consumer<Optional<Message>> then) {
    disk.ask(
        () -> workshop.goOnIn(chosen),
        refused -> {
          if (refused.isEmpty()) {
            inOrder();
            model.keepAgain();
            model.say(Text.of("workshop.goes-on", workshop.file().toString()));
          }
          then.accept(refused);
        },
        e -> then.accept(Optional.of(Message.of("workshop.not-copied", chosen.toString()))));
  }

  /** The copies of this workshop, the newest first. */
  public void copies(Consumer<List<Backup>> then) {
    disk.ask(
        () -> {
          try {
            return new Backups(workshop.file()).all();
          } catch (IOException e) {
            throw new UncheckedIOException(e);
          }
        },
        then,
        e -> model.say(Text.of("workshop.not-read", workshop.file().toString())));
  }

  /**
   * Puts a copy in the place of the file and goes on with it.
   *
   * @param then gets what came of it
   */
  public void restore(Path copy, Consumer<Restored> then) {
    LocalDateTime now = LocalDateTime.ofInstant(model.clock().instant(), model.clock().getZone());
    disk.ask(
        () -> workshop.restore(copy, now),
        restored -> {
          if (restored instanceof Restored.Done) {
            inOrder();
            model.readAnew(() -> then.accept(restored));
          } else {
            then.accept(restored);
          }
        },
        e ->
            then.accept(
                new Restored.Refused(
                    Message.of("workshop.not-restored", workshop.file().toString()))));
  }
}
