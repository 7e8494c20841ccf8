package zebrawood.records.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.OptionalDouble;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.field.FieldFinding.Row;
import zebrawood.field.FieldReadings.Point;
import zebrawood.measure.UnusableReading;

class FieldFilesTest {
  @TempDir private Path folder;

  @Test
  void aGridThatSaysInchesIsInInches() {
    String pasted = "0 0 0 0\n1 0 1.01 0\n";
    String whole = GridText.inInches(pasted);
    assertThat(whole).startsWith("x in,y in,measured x in,measured y in\n");
    assertThat(GridText.read(whole).get(1).measuredXMm()).isEqualTo(1.01 * 25.4);
    assertThat(GridText.read(pasted).get(1).measuredXMm()).isEqualTo(1.01);
    assertThat(GridText.inInches(whole)).as("it says so already").isEqualTo(whole);
    String millimetres = "\uFEFFsep=;\n\"x mm\";\"y mm\";\"measured x\";\"measured y\"\n1;2;3;4\n";
    assertThat(GridText.inInches(millimetres)).isEqualTo(millimetres);
    assertThat(GridText.read(millimetres)).containsExactly(new Point(1, 2, 3, 4));
  }

  @Test
  void aGridIsReadHoweverItIsSetApart() {
    Point expected = new Point(-10, 0, -10.05, 0.5);
    for (String text :
        List.of(
            "x,y,mx,my\n-10,0,-10.05,0.5\n",
            "-10;0;-10,05;0,5",
            "-10\t0\t-10.05\t0.5\n\n",
            "  -10   0  -10.05 0.5")) {
      assertThat(GridText.read(text)).as(text).containsExactly(expected);
    }
    List<Point> two = List.of(expected, new Point(1, 2, 3.00004, 4));
    assertThat(GridText.read(GridText.write(two)).getLast().measuredXMm()).isEqualTo(3);
  }

  @Test
  void aLineThatIsNoMarkIsNamed() {
    assertThatThrownBy(() -> GridText.read("1,2,3,4\n1,2,three,4"))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("line 2")
        .hasMessageContaining("three");
    assertThatThrownBy(() -> GridText.read("1,2,3")).hasMessageContaining("3 numbers");
    assertThatThrownBy(() -> GridText.read("1,2,3,\"4")).isInstanceOf(UnusableReading.class);
  }

  @Test
  void aTableIsWrittenTwiceAndNeverOver() throws IOException {
    FieldTable table =
        FieldTable.of(
            100,
            List.of(
                new Row(-50, -50, -49.123456, -50),
                new Row(50, -50, 50, -50),
                new Row(-50, 50, -50, 50),
                new Row(50, 50, 50, 1e-9)));
    String name = folder.resolve("lens 160").toString();
    table.write(name + ".csv");
    assertThat(Files.readAllLines(Path.of(name + ".csv")))
        .hasSize(5)
        .startsWith("xMm,yMm,commandXMm,commandYMm", "-50,-50,-49.1235,-50")
        .endsWith("50,50,50,0");
    assertThat(Files.readString(Path.of(name + ".json")))
        .contains("\"format\":\"field table 1\"")
        .contains("\"size\":2")
        .contains("\"commandXMm\":-49.123456");
    assertThatThrownBy(() -> table.write(name)).hasMessageContaining("there already");
    assertThatThrownBy(() -> table.write(folder.resolve("no/where").toString()))
        .hasMessageContaining("cannot be written");
  }

  /** A head twice as steep in x: the first table halves, what is left is moved by 2 mm. */
  @Test
  void aTableIsJoinedToTheOneThatTheMarksWereBurntThrough() throws IOException {
    String name = folder.resolve("first").toString();
    FieldTable.of(
            100,
            List.of(
                new Row(-50, -50, -25, -50),
                new Row(50, -50, 25, -50),
                new Row(-50, 50, -25, 50),
                new Row(50, 50, 25, 50)))
        .write(name);
    FieldTable first = FieldTable.read(name + ".csv");
    List<Row> joined = first.joined(List.of(new Row(-50, -50, -52, -50), new Row(0, 10, -2, 10)));
    assertThat(joined).containsExactly(new Row(-50, -50, -26, -50), new Row(0, 10, -1, 10));
    assertThatThrownBy(() -> FieldTable.read(folder.resolve("none").toString()))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("there is no such file");
    Path other = folder.resolve("other.json");
    String text = Files.readString(folder.resolve("first.json"));
    for (String wrong :
        List.of(
            text.replace("table 1", "table 7"),
            text.replace("\"size\":2", "\"size\":3"),
            text.replace("\"xMm\":50", "\"xMm\":51"),
            text.substring(1))) {
      Files.writeString(other, wrong);
      assertThatThrownBy(() -> FieldTable.read(other.toString()))
          .isInstanceOf(UnusableReading.class);
    }
  }

  @Test
  void aGridToBurnStandsInThreeFormats() throws Exception {
    BurnGrid grid = new BurnGrid(3, 5, 20, 6);
    Path svg = folder.resolve("grid.svg");
    OptionalDouble none = OptionalDouble.empty();
    grid.write(svg.toString(), none, none);
    var paths =
        DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(svg.toFile())
            .getElementsByTagName("path");
    assertThat(paths.getLength()).isEqualTo(30);
    assertThat(paths.item(0).getAttributes().getNamedItem("d").getNodeValue())
        .as("the lower left, y downwards")
        .isEqualTo("M-23 40 L-17 40");
    Path dxf = folder.resolve("grid.dxf");
    grid.write(dxf.toString(), none, none);
    assertThat(Files.readAllLines(dxf).stream().filter("LINE"::equals)).hasSize(30);
    assertThat(Files.readString(dxf)).contains("10\n-23\n20\n-40\n11\n-17\n21\n-40");
    Path gcode = folder.resolve("grid.gcode");
    assertThatThrownBy(() -> grid.write(gcode.toString(), none, none))
        .hasMessageContaining("needs a speed");
    grid.write(gcode.toString(), OptionalDouble.of(100), OptionalDouble.of(300));
    assertThat(Files.readAllLines(gcode))
        .startsWith("G21", "G90", "M5", "G0 X-23 Y-40", "M3 S300", "G1 X-17 Y-40 F6000", "M5")
        .endsWith("M5");
    assertThatThrownBy(() -> grid.write(folder.resolve("grid.bin").toString(), none, none))
        .hasMessageContaining("svg, dxf, gcode or nc");
    assertThatThrownBy(() -> new BurnGrid(3, 5, 20, 15)).isInstanceOf(UnusableReading.class);
  }
}
