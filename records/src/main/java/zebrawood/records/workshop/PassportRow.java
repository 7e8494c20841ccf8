package zebrawood.records.workshop;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * One line of a machine's record as the workshop's file keeps it, to be carried to another one.
 * Exactly one of its parts is there.
 *
 * @param machine a version of the machine's description
 */
public record PassportRow(
    Optional<Description> machine,
    Optional<EntryRow> entry,
    Optional<EventRow> event,
    Optional<PaperRow> paper,
    Optional<AttachmentRow> attachment) {

  /**
   * A version of a machine's description.
   *
   * @param body the machine as JSON
   * @param version of the program's file that wrote it
   */
  public record Description(String recordedAt, String recordedBy, String body, int version) {}

  /** An entry; readings, finding, figures and because are JSON. */
  public record EntryRow(
      String id,
      String station,
      Optional<String> subject,
      String kind,
      String at,
      String recordedAt,
      String recordedBy,
      String because,
      String readings,
      String finding,
      String verdict,
      String figures,
      Optional<String> replaces,
      int version) {}

  /** An event; details are JSON, empty where an early version kept none. */
  public record EventRow(
      String id,
      String kind,
      String at,
      String recordedAt,
      String recordedBy,
      String note,
      Optional<String> details,
      Optional<String> replaces,
      int version) {}

  /** What paper shows of an entry, as JSON. */
  public record PaperRow(String entryId, String body, int version) {}

  /**
   * A picture or a file.
   *
   * @param sha256 of what is in it
   * @param content the same in base64 (RFC 4648)
   */
  public record AttachmentRow(
      String id,
      String lineId,
      String name,
      String sha256,
      String recordedAt,
      String recordedBy,
      String content,
      int version) {}

  private static final PassportRow NONE =
      new PassportRow(
          Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

  static PassportRow of(Description d) {
    return new PassportRow(Optional.of(d), NONE.entry, NONE.event, NONE.paper, NONE.attachment);
  }

  static PassportRow of(EntryRow e) {
    return new PassportRow(NONE.machine, Optional.of(e), NONE.event, NONE.paper, NONE.attachment);
  }

  static PassportRow of(EventRow e) {
    return new PassportRow(NONE.machine, NONE.entry, Optional.of(e), NONE.paper, NONE.attachment);
  }

  static PassportRow of(PaperRow p) {
    return new PassportRow(NONE.machine, NONE.entry, NONE.event, Optional.of(p), NONE.attachment);
  }

  static PassportRow of(AttachmentRow a) {
    return new PassportRow(NONE.machine, NONE.entry, NONE.event, NONE.paper, Optional.of(a));
  }

  /** Which of its parts are there: one, where it is in order. */
  public List<String> parts() {
    List<String> parts = new ArrayList<>();
    machine.ifPresent(p -> parts.add("machine"));
    entry.ifPresent(p -> parts.add("entry"));
    event.ifPresent(p -> parts.add("event"));
    paper.ifPresent(p -> parts.add("paper"));
    attachment.ifPresent(p -> parts.add("attachment"));
    return parts;
  }

  /** Of the program's file that wrote it. */
  public int version() {
    return machine
        .map(Description::version)
        .or(() -> entry.map(EntryRow::version))
        .or(() -> event.map(EventRow::version))
        .or(() -> paper.map(PaperRow::version))
        .or(() -> attachment.map(AttachmentRow::version))
        .orElse(0);
  }

  /** The id of an entry or an event; empty of anything else. */
  Optional<String> lineId() {
    return entry.map(EntryRow::id).or(() -> event.map(EventRow::id));
  }

  /** When an entry or an event was written down. */
  Optional<String> lineRecordedAt() {
    return entry.map(EntryRow::recordedAt).or(() -> event.map(EventRow::recordedAt));
  }
}
