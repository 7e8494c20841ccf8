package zebrawood.desktop.sheet;

import zebrawood.desktop.workshop.WorkshopModel;

/** What a sheet asks of the window it stands in. */
public interface SheetHost {
  WorkshopModel workshop();

  /** Runs at once when the initials are known, else asks for them first. */
  void withInitials(Runnable then);

  /** Withdraws the last recorded entry of the machine, whichever station it belongs to. */
  void undoLast();
}
