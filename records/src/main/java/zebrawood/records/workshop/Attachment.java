package zebrawood.records.workshop;

import java.time.Instant;

/**
 * A picture or a file of a line of the record.
 *
 * @param lineId the entry's or event's
 * @param name of the file, without its folder
 * @param sha256 of what is in it, as 64 letters (FIPS 180-4)
 * @param size bytes
 */
public record Attachment(
    String id,
    String machineId,
    String lineId,
    String name,
    String sha256,
    long size,
    Instant recordedAt,
    String by) {
  /** Of one file, as a passport can carry it; a phone's photograph has less. */
  public static final int MOST_BYTES = 14 * 1024 * 1024;

  /** Of one line. */
  public static final int MOST_OF_A_LINE = 40;
}
