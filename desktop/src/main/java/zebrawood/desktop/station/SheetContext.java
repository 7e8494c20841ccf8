package zebrawood.desktop.station;

import java.util.Optional;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.workshop.WorkshopModel;

/** What a station finds around it while it stands in a sheet. */
public interface SheetContext {
  SheetHost host();

  EntryRecorder recorder();

  /** Puts the focus on a field, where it is to be seen. */
  void focus(Field field);

  /** Puts the focus where the next thing is to be typed. */
  void focusNext();

  /** Whether another station of this machine holds; empty where the machine has none of that id. */
  default Optional<Boolean> holds(String stationId) {
    return workshop().stations().stream()
        .filter(s -> s.id().equals(stationId))
        .findFirst()
        .map(s -> workshop().opened().standing(s).holds());
  }

  default WorkshopModel workshop() {
    return host().workshop();
  }
}
