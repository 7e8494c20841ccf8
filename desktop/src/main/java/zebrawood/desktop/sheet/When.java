package zebrawood.desktop.sheet;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Days and times as shown. */
public final class When {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("dd MMM", Locale.ENGLISH);
  private static final DateTimeFormatter DAY_AND_YEAR =
      DateTimeFormatter.ofPattern("dd MMM yyyy", Locale.ENGLISH);
  private static final DateTimeFormatter DAY_AND_TIME =
      DateTimeFormatter.ofPattern("dd MMM yyyy HH:mm", Locale.ENGLISH);
  private static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);

  private static final DateTimeFormatter MOMENT =
      DateTimeFormatter.ofPattern("dd MMM HH:mm", Locale.ENGLISH);

  private static final int SURE_OF_THE_YEAR_DAYS = 300;

  private When() {}

  public static String day(Instant at, ZoneId zone) {
    return DAY.withZone(zone).format(at);
  }

  public static String dayAndYear(Instant at, ZoneId zone) {
    return DAY_AND_YEAR.withZone(zone).format(at);
  }

  public static String dayAndTime(Instant at, ZoneId zone) {
    return DAY_AND_TIME.withZone(zone).format(at);
  }

  /** With the time in the last months, with the year before. */
  public static String moment(Instant at, Instant now, ZoneId zone) {
    boolean lately = Duration.between(at, now).toDays() < SURE_OF_THE_YEAR_DAYS;
    return (lately ? MOMENT : DAY_AND_YEAR).withZone(zone).format(at);
  }

  public static String time(Instant at, ZoneId zone) {
    return TIME.withZone(zone).format(at);
  }

  public static DateTimeFormatter days(ZoneId zone) {
    return DAY.withZone(zone);
  }
}
