package zebrawood.desktop.sheet;

import java.util.List;
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

  /**
   * Shows what is about to be done, line by line, before it is done.
   *
   * @param caution what can hurt someone, possibly empty
   * @param go what the button says that does it
   */
  void confirm(
      String title, String why, List<String> lines, String caution, String go, Runnable then);

  /** Offers to write the open machine's go card for the wall. */
  void writeGoCard();

  /** Withdraws the last recorded entry of the machine, whichever station it belongs to. */
  void undoLast();
}
