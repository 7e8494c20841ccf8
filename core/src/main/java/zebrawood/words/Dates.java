package zebrawood.words;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Locale;

/** Days and times as messages: the names of the months stand in the bundles. */
public final class Dates {
  /** Of a day in the last months nobody asks of which year it is. */
  private static final int SURE_OF_THE_YEAR_DAYS = 300;

  private Dates() {}

  /** Such as "04 May". */
  public static Message day(Instant at, ZoneId zone) {
    ZonedDateTime t = at.atZone(zone);
    return Message.of(
        "words.day", two(t.getDayOfMonth()), Message.of("words.month." + t.getMonthValue()));
  }

  /** Such as "04 May 2026". */
  public static Message dayAndYear(Instant at, ZoneId zone) {
    return Message.of("words.after", day(at, zone), String.valueOf(at.atZone(zone).getYear()));
  }

  /** Such as "04 May 2026 09:30". */
  public static Message dayAndTime(Instant at, ZoneId zone) {
    return Message.of("words.after", dayAndYear(at, zone), time(at, zone));
  }

  /** With the time in the last months, with the year before. */
  public static Message moment(Instant at, Instant now, ZoneId zone) {
    return Duration.between(at, now).abs().toDays() < SURE_OF_THE_YEAR_DAYS
        ? Message.of("words.after", day(at, zone), time(at, zone))
        : dayAndYear(at, zone);
  }

  /** Such as "09:30". */
  public static String time(Instant at, ZoneId zone) {
    ZonedDateTime t = at.atZone(zone);
    return two(t.getHour()) + ":" + two(t.getMinute());
  }

  private static String two(int number) {
    return String.format(Locale.ROOT, "%02d", number);
  }
}
