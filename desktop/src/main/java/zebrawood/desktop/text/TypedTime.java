package zebrawood.desktop.text;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.YearMonth;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * A time as people type it: {@code 8:00} is today; {@code 4 May}, {@code 4 May 2026} and {@code
 * 2026-05-04} are days, with or without a time behind them. Days as numbers with dots or slashes
 * are not taken, since nobody knows which of them is the month.
 *
 * @param day the day that was said
 * @param time the time of day, where one was said
 */
public record TypedTime(LocalDate day, Optional<LocalTime> time) {
  private static final String CLOCK = "(?<hour>\\d{1,2})[:.h](?<minute>\\d{2})(?::\\d{2})?";
  private static final Pattern TIME = Pattern.compile(CLOCK);
  private static final Pattern ISO =
      Pattern.compile(
          "(?<year>\\d{4})-(?<month>\\d{1,2})-(?<day>\\d{1,2})(?:[T ]\\s*" + CLOCK + ")?");
  private static final Pattern NAMED =
      Pattern.compile(
          "(?<day>\\d{1,2})\\.?\\s*(?<name>\\p{L}{3,})\\.?(?:\\s+(?<year>\\d{4}))?(?:,?\\s+"
              + CLOCK
              + ")?");

  /** More letters are no time. */
  private static final int LONGEST = 40;

  private static final int FIRST_YEAR = 2000;

  /**
   * @param now of the technician's clock
   * @return empty where it is no time, or one that is later than this minute
   */
  public static Optional<TypedTime> read(String typed, LocalDateTime now) {
    String words = typed.strip();
    if (words.length() > LONGEST) {
      return Optional.empty();
    }
    try {
      return parse(words, now.toLocalDate())
          .filter(t -> !t.first().isAfter(now.truncatedTo(ChronoUnit.MINUTES)))
          .filter(t -> t.day.getYear() >= FIRST_YEAR);
    } catch (DateTimeException e) {
      return Optional.empty();
    }
  }

  private static Optional<TypedTime> parse(String words, LocalDate today) {
    Matcher time = TIME.matcher(words);
    if (time.matches()) {
      return Optional.of(new TypedTime(today, clock(time)));
    }
    Matcher iso = ISO.matcher(words);
    if (iso.matches()) {
      return Optional.of(
          new TypedTime(
              LocalDate.of(number(iso, "year"), number(iso, "month"), number(iso, "day")),
              clock(iso)));
    }
    Matcher named = NAMED.matcher(words);
    return named.matches()
        ? month(named.group("name")).map(m -> new TypedTime(day(named, m, today), clock(named)))
        : Optional.empty();
  }

  /** Without a year it is the last such day. */
  private static LocalDate day(Matcher named, int month, LocalDate today) {
    if (named.group("year") != null) {
      return LocalDate.of(number(named, "year"), month, number(named, "day"));
    }
    int year = today.getYear();
    int day = number(named, "day");
    boolean thisYear =
        YearMonth.of(year, month).isValidDay(day) && !LocalDate.of(year, month, day).isAfter(today);
    return LocalDate.of(thisYear ? year : year - 1, month, day);
  }

  /** By the first letters of the months' names. */
  private static Optional<Integer> month(String name) {
    String begin = name.toLowerCase(Locale.ROOT);
    return IntStream.rangeClosed(1, 12)
        .filter(m -> {
          String shown = Text.of("words.month." + m).toLowerCase(Locale.ROOT);
          return begin.startsWith(shown) || shown.startsWith(begin);
        })
        .boxed()
        .findFirst();
  }

  private static Optional<LocalTime> clock(Matcher matcher) {
    return matcher.group("hour") == null
        ? Optional.empty()
        : Optional.of(LocalTime.of(number(matcher, "hour"), number(matcher, "minute")));
  }

  private static int number(Matcher matcher, String group) {
    return Integer.parseInt(matcher.group(group));
  }

  /** The first moment that it can mean. */
  public LocalDateTime first() {
    return day.atTime(time.orElse(LocalTime.MIN));
  }

  /** The last minute that it can mean, no later than now. */
  public LocalDateTime last(LocalDateTime now) {
    LocalDateTime end = day.atTime(time.orElse(LocalTime.of(23, 59)));
    return end.isAfter(now) ? now : end;
  }
}
