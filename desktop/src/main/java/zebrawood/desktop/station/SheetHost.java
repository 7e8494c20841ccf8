package zebrawood.desktop.station;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.devices.whole.CaseRun;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Recorded;
import zebrawood.ledger.SubjectKind;

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

  /**
   * Asks for a time in the past.
   *
   * @param why what it is asked for
   * @param then gets the time, or nothing for now
   */
  void askTime(String why, Consumer<Optional<Instant>> then);

  /** Asks which lens, configuration or the like is on the machine, and keeps it. */
  void askSubject(SubjectKind kind);

  /** The whole machine that is practised on; empty where none is. */
  default Optional<CaseRun> playing() {
    return Optional.empty();
  }

  /** Asks whether this happened, shows what it puts in doubt, and keeps it. */
  void askEvent(EventKind kind);

  /** What must be proven today and is not. */
  List<GuardLine> notProvenToday();

  /** The station where that is proven. */
  String guardStation();

  /** Offers to write a page of the open machine into a folder. */
  void write(Page page);

  /**
   * What is written.
   *
   * @param kind begins the files' name and the folder's
   * @param remark whether the technician may add a remark
   * @param maker holds all it needs; it runs off the interface's thread
   */
  record Page(String title, String why, String kind, boolean remark, Maker maker) {}

  /** Makes a page, as well-formed HTML. */
  @FunctionalInterface
  interface Maker {
    /**
     * @param remark what the technician adds; possibly empty
     */
    String html(String remark) throws java.io.IOException;
  }

  /** Shows the pictures and files of an entry, and takes more. */
  void attachments(Recorded line);

  /** Withdraws an entry; asks first where it is of another visit or of somebody else. */
  void takeBack(Entry entry);
}
