package zebrawood.desktop.text;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import zebrawood.words.Dates;

/** Days and times as shown. */
public final class DayWords {
  private DayWords() {}

  public static String day(Instant at, ZoneId zone) {
    return Text.of(Dates.day(at, zone));
  }

  public static String dayAndYear(Instant at, ZoneId zone) {
    return Text.of(Dates.dayAndYear(at, zone));
  }

  public static String dayAndYear(LocalDate day) {
    return dayAndYear(day.atStartOfDay(ZoneOffset.UTC).toInstant(), ZoneOffset.UTC);
  }

  public static String dayAndTime(Instant at, ZoneId zone) {
    return Text.of(Dates.dayAndTime(at, zone));
  }

  /** With the time in the last months, with the year before. */
  public static String moment(Instant at, Instant now, ZoneId zone) {
    return Text.of(Dates.moment(at, now, zone));
  }

  public static String time(Instant at, ZoneId zone) {
    return Dates.time(at, zone);
  }
}
