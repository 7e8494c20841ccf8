package zebrawood.records.file;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CsvTextTest {
  @Test
  void whatSpreadsheetsPutFirstIsTakenOff() {
    assertThat(CsvText.of("\uFEFF\"name\";\"a,b\"\n1;2"))
        .isEqualTo(new CsvText("\"name\";\"a,b\"\n1;2", ';', false, true));
    assertThat(CsvText.of("sep=;\r\nname,x;y\r\n"))
        .isEqualTo(new CsvText("name,x;y\r\n", ';', true, false));
    assertThat(CsvText.of("\uFEFFsep=,\nname,y").rows()).isEqualTo("name,y");
    assertThat(CsvText.of("name\ty").separator()).isEqualTo('\t');
    assertThat(CsvText.of("")).isEqualTo(new CsvText("", ',', false, false));
  }

  @ParameterizedTest
  @ValueSource(strings = {"=1+1", "+cmd", "-2+3", "@sum", "\tx", "=HYPERLINK(\"x\")"})
  void whatASpreadsheetWouldRunIsMarkedAndReadBack(String cell) {
    assertThat(CsvText.safe(cell)).startsWith("'");
    assertThat(CsvText.meant(CsvText.safe(cell))).isEqualTo(cell);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"-5", "+3.2", "-1,5", "1e-3", "-1e-3", "birch 3 mm", "", "'quoted'", "O'"})
  void numbersAndWordsStayAsTheyAre(String cell) {
    assertThat(CsvText.safe(cell)).isEqualTo(cell);
    assertThat(CsvText.meant(cell)).isEqualTo(cell);
  }
}
