package zebrawood.desktop.shell;

import zebrawood.desktop.sheet.StationSheet;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Recorded;
import zebrawood.records.workshop.TwoDescriptions;

/** The cards about files: passports, readings, pictures of a line, the workshop's own file. */
public final class RecordCards {
  private final Shell shell;
  private final WorkshopModel workshop;
  private final Cards cards;
  private final Cards about;

  /**
   * @param about lies over whatever card is open
   */
  RecordCards(Shell shell, Cards cards, Cards about) {
    this.shell = shell;
    this.workshop = shell.workshop();
    this.cards = cards;
    this.about = about;
  }

  /** Asks for the file that the open machine's passport is written into. */
  void passportOut() {
    PassportCard.write(cards, workshop);
  }

  /**
   * Asks for a passport to be taken in.
   *
   * @param offered the file that stands there at first; possibly empty
   */
  public void passportIn(String offered) {
    PassportCard.take(cards, workshop, offered, this::twoDescriptions);
  }

  /** Asks for the file that the readings of a sheet are written into. */
  void readingsOut(StationSheet<?, ?> sheet) {
    ReadingsCard.write(cards, workshop, sheet);
  }

  /** Asks for the file that a sheet's readings are read from. */
  void readingsIn(StationSheet<?, ?> sheet) {
    ReadingsCard.read(cards, workshop, sheet);
  }

  /** Shows the pictures and files of a line of the record, and takes more. */
  void attachments(Recorded line) {
    AttachmentsCard.open(cards, shell, line);
  }

  /** Shows two descriptions of the open machine beside each other. */
  void twoDescriptions(TwoDescriptions two) {
    TwoDescriptionsCard.open(cards, shell, two);
  }

  /** Offers the copies of this workshop. */
  void restore() {
    RestoreCard.open(cards, workshop);
  }

  /** Where the file that was opened is gone, or damaged. */
  void saveElsewhere() {
    if (workshop.fileState().lostProperty().get()) {
      LostFileCard.open(about, workshop);
    }
  }
}
