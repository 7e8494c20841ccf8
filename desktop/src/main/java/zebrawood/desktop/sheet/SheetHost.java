package zebrawood.desktop.sheet;

import java.util.function.Consumer;
import zebrawood.desktop.workshop.WorkshopModel;

/** What a sheet asks of the window it stands in. */
public interface SheetHost {
  WorkshopModel workshop();

  /** Runs at once when the initials are known, else asks for them first. */
  void withInitials(Runnable then);

  /** Opens another station's sheet. */
  void open(String stationId);

  /**
   * Asks for a reason in words, which must not be empty.
   *
   * @param what what the reason is for
   */
  void withReason(String what, Consumer<String> then);

  /** Offers to write the open machine's go card for the wall. */
  void writeGoCard();

  /** Withdraws the last recorded entry of the machine, whichever station it belongs to. */
  void undoLast();
}
