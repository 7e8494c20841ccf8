package zebrawood.records.settings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.measure.UnusableReading;
import zebrawood.power.RescaleFinding.Setting;

class SettingsTableTest {
  @TempDir private Path folder;

  private String file(String name, String text) throws IOException {
    return Files.writeString(folder.resolve(name), text).toString();
  }

  @Test
  void columnsInAnyOrderAndOthersGoThrough() throws IOException {
    String from =
        file(
            "list.csv",
            "\uFEFFStock,SpeedMmS,Name,Percent\r\n\"birch, 3 mm\",20,edge,55.5\r\n,8,\"the \"\"cut\"\"\",90\r\n");
    SettingsTable table = SettingsTable.read(from);
    assertThat(table.settings()).extracting("name").containsExactly("edge", "the \"cut\"");
    assertThat(table.settings()).extracting("percent").containsExactly(55.5, 90.0);
    String to = folder.resolve("new.csv").toString();
    table.write(
        to,
        List.of(new Setting("edge", 61.237, 20, true), new Setting("the", 100, 7.123456, false)));
    assertThat(Files.readString(Path.of(to)))
        .isEqualTo(
            "Stock,SpeedMmS,Name,Percent,reachable\r\n\"birch, 3 mm\",20,edge,61.24,true\r\n"
                + "\"\",7.123,\"the \"\"cut\"\"\",100,false\r\n");
    assertThatThrownBy(() -> table.write(to, List.of()))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("there already");
    assertThatThrownBy(() -> table.write(folder.resolve("no/such/x.csv").toString(), List.of()))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("cannot be written");
  }

  @Test
  void semicolonsCommasForPointsAndMinutes() throws IOException {
    String from = file("list.csv", "name;percent;speedMmMin\nedge;55,5;1200\n");
    SettingsTable table = SettingsTable.read(from);
    assertThat(table.settings().getFirst().percent()).isEqualTo(55.5);
    assertThat(table.settings().getFirst().speedMmS()).isCloseTo(20, within(1e-9));
    String to = folder.resolve("new.csv").toString();
    table.write(to, List.of(new Setting("edge", 61.25, 10, false)));
    assertThat(Files.readString(Path.of(to))).contains("edge;61,25;600;false");
  }

  @Test
  void aListOfASpreadsheetGoesThroughAsItCame() throws IOException {
    String from =
        file(
            "list.csv",
            "\uFEFFsep=;\r\n\"Name\";\"percent\";\"speedMmS\";\"note\"\r\n"
                + "\"edge\";\"55,5\";\"20\";\"=1+1\"\r\n\"mark\";\"5\";\"20\";\"007\"\r\n");
    SettingsTable table = SettingsTable.read(from);
    assertThat(table.settings()).extracting("name").containsExactly("edge", "mark");
    Path to = folder.resolve("new.csv");
    table.write(
        to.toString(),
        List.of(new Setting("edge", 61.25, 20, true), new Setting("mark", 6, 20, true)));
    assertThat(to)
        .hasContent(
            "sep=;\r\n\"Name\";\"percent\";\"speedMmS\";\"note\";\"reachable\"\r\n"
                + "\"edge\";\"61,25\";\"20\";\"'=1+1\";\"true\"\r\n"
                + "\"mark\";\"6\";\"20\";\"007\";\"true\"\r\n");
    assertThat(SettingsTable.read(to.toString()).settings())
        .extracting("name")
        .containsExactly("edge", "mark");
  }

  @Test
  void whatIsNoListIsRefusedInASentence() throws IOException {
    byte[] other = "name,percent,speedMmS\ncut\u00e9,1,1\n".getBytes(StandardCharsets.ISO_8859_1);
    String[][] bad = {
      {folder.resolve("gone.csv").toString(), "no file"},
      {folder.toString(), "no file"},
      {"\0", "read as a list"},
      {file("empty.csv", ""), "no settings"},
      {file("header.csv", "name,percent,speedMmS\n"), "no settings"},
      {file("column.csv", "name,percent\nx,1\n"), "no column \"speedMmS\""},
      {file("number.csv", "name,percent,speedMmS\nx,1,1\ny,many,1\n"), "line 3"},
      {file("quote.csv", "name,percent,speedMmS\n\"x,1,1\n"), "read as a list"},
      {Files.write(folder.resolve("letters.csv"), other).toString(), "not in UTF-8"},
      {file("long.csv", "name,percent,speedMmS\n" + "x,1,1\n".repeat(200_001)), "more than a list"},
    };
    for (String[] each : bad) {
      assertThatThrownBy(() -> SettingsTable.read(each[0]))
          .as(each[1])
          .isInstanceOf(UnusableReading.class)
          .hasMessageContaining("settingsFile")
          .hasMessageContaining(each[1]);
    }
  }

  @Test
  void theReadingEndsWhenNobodyWaits() throws IOException {
    String from = file("list.csv", "name,percent,speedMmS\n" + "x,1,1\n".repeat(20_000));
    assertThatThrownBy(() ->
            SettingsTable.read(
                from,
                share -> {
                  if (share > 0.4) {
                    throw new CancellationException();
                  }
                }))
        .isInstanceOf(CancellationException.class);
  }
}
