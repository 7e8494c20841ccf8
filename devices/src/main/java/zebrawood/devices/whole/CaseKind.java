package zebrawood.devices.whole;

import java.util.List;
import java.util.Locale;

/** The cases that come with the program. */
public enum CaseKind {
  COMMISSION(WholeKind.values()),
  TUBE_REPLACED(WholeKind.GLASS_TUBE_GANTRY),
  MOVED_ACROSS_THE_ROOM(WholeKind.values()),
  PALE_AT_THE_REAR(WholeKind.GLASS_TUBE_GANTRY, WholeKind.DIODE_GANTRY),
  WORKED_ON_TUESDAY(WholeKind.values()),
  LENS_CHANGED(WholeKind.GLASS_TUBE_GANTRY, WholeKind.GALVO),
  CAMERA_LID(WholeKind.GLASS_TUBE_GANTRY, WholeKind.DIODE_GANTRY),
  OTHER_WORKSHOPS_SETTINGS(
      WholeKind.GLASS_TUBE_GANTRY, WholeKind.DIODE_GANTRY, WholeKind.CUTTING_HEAD),
  FIRMWARE_RESET(WholeKind.GLASS_TUBE_GANTRY, WholeKind.DIODE_GANTRY, WholeKind.CUTTING_HEAD),
  THREE_FAULTS(WholeKind.values());

  private final List<WholeKind> kinds;

  CaseKind(WholeKind... kinds) {
    this.kinds = List.of(kinds);
  }

  /** The machines on which it can happen. */
  public List<WholeKind> kinds() {
    return kinds;
  }

  /** As it is typed: {@code pale-at-the-rear}. */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
