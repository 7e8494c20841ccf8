package zebrawood.desktop.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDateTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TypedTimeTest {
  private static final LocalDateTime NOW = LocalDateTime.parse("2026-05-04T09:30:20");

  @ParameterizedTest
  @CsvSource({
    "8:00, 2026-05-04T08:00",
    "08:00, 2026-05-04T08:00",
    "9:30, 2026-05-04T09:30",
    "8.15, 2026-05-04T08:15",
    "8h15, 2026-05-04T08:15",
    "2026-05-03, 2026-05-03T00:00",
    "2026-5-3 7:05, 2026-05-03T07:05",
    "2026-05-03T07:05:59, 2026-05-03T07:05",
    "4 May, 2026-05-04T00:00",
    "4 may 2026 8:00, 2026-05-04T08:00",
    "28. February, 2026-02-28T00:00",
    "24 Dec 18:00, 2025-12-24T18:00",
  })
  void isReadAsPeopleTypeIt(String typed, LocalDateTime means) {
    assertThat(TypedTime.read(typed, NOW).orElseThrow().first()).isEqualTo(means);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "soon",
        "9:31",
        "25:00",
        "8:60",
        "8",
        "2026-05-05",
        "2026-02-30",
        "5.4.2026",
        "4/5/2026",
        "1 Foo",
        "31 Apr 2026",
        "1999-01-01",
        "-1000000000-01-01",
        "4 May 2027",
        "99999999999999999"
      })
  void whatIsNoTimeOrLaterThanNowIsNone(String typed) {
    assertThat(TypedTime.read(typed, NOW)).isEmpty();
  }

  @Test
  void aDayAloneEndsWithTheDayOrNow() {
    assertThat(TypedTime.read("3 May", NOW).orElseThrow().last(NOW)).isEqualTo("2026-05-03T23:59");
    assertThat(TypedTime.read("2026-05-04", NOW).orElseThrow().last(NOW)).isEqualTo(NOW);
    assertThat(TypedTime.read("29 Feb 2024 8:00", NOW).orElseThrow().last(NOW))
        .isEqualTo("2024-02-29T08:00");
  }
}
