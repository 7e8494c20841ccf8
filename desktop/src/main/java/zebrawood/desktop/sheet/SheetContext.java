package zebrawood.desktop.sheet;

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

  default WorkshopModel workshop() {
    return host().workshop();
  }
}
