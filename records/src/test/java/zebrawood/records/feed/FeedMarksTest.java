package zebrawood.records.feed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.measure.UnusableReading;

class FeedMarksTest {
  private static final FeedMarks MARKS = new FeedMarks(List.of(380.0, 760.5), 1000, 200, 5);

  @TempDir Path folder;

  @Test
  void aCrossStandsAtBothEdgesOfEachJoint() throws IOException {
    Path file = folder.resolve("marks.dxf");
    MARKS.write(file.toString());
    List<String> lines = Files.readAllLines(file);
    List<String> upright = new ArrayList<>();
    for (int i = 0; i + 1 < lines.size(); i++) {
      // A line of the layer, its ends behind groups 10, 20, 11 and 21.
      if (lines.get(i).equals("marks") && lines.get(i + 4).equals(lines.get(i + 8))) {
        upright.add(lines.get(i + 4) + " from " + lines.get(i + 6) + " to " + lines.get(i + 10));
      }
    }
    assertThat(upright)
        .containsExactly(
            "380 from 2 to 8", "380 from 192 to 198", "760.5 from 2 to 8", "760.5 from 192 to 198");
  }

  @Test
  void onlyDrawingsAreWrittenAndNeverOverAFile() throws IOException {
    assertThatThrownBy(() -> MARKS.write(folder.resolve("marks.nc").toString()))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("svg or dxf");
    Path there = Files.writeString(folder.resolve("there.svg"), "mine");
    assertThatThrownBy(() -> MARKS.write(there.toString())).isInstanceOf(UnusableReading.class);
    assertThat(there).hasContent("mine");
  }
}
