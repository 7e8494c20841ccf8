package zebrawood.jobfile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.jobfile.JobFinding.TimeBy;
import zebrawood.jobfile.JobProblem.Kind;
import zebrawood.jobfile.JobReadings.OtherPercent;
import zebrawood.jobfile.JobReadings.Timed;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;

class JobReaderTest {
  private static final int EACH = Integer.getInteger("jobfile.each", 25);

  private static JobLook look(String text, Motion motion) {
    try {
      InputStream in = new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8));
      return JobReader.read("job", in, motion, bytes -> {}).look();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static JobLook look(String text) {
    return look(text, WrittenJob.motion());
  }

  @Test
  void whatAProgramDoesIsReadHoweverItIsSpelled() {
    for (int seed = 0; seed < 60; seed++) {
      WrittenJob job = new WrittenJob(seed, WrittenJob.Fault.NONE);
      JobLook look = look(job.text());
      assertThat(look.burntMm()).as("seed %d", seed).isCloseTo(job.burntMm(), within(0.05));
      assertThat(look.topWord().orElseThrow()).isCloseTo(job.topWord(), within(0.051));
      assertThat(look.placeKnown()).isEqualTo(!job.isRelative());
      if (!job.isRelative()) {
        assertThat(look.moved().orElseThrow().minX()).isCloseTo(job.movedX()[0], within(1e-3));
        assertThat(look.moved().orElseThrow().maxX()).isCloseTo(job.movedX()[1], within(1e-3));
      }
      assertThat(look.unknown()).isEmpty();
      assertThat(look.lines()).isEqualTo(job.text().lines().count());
    }
  }

  @ParameterizedTest
  @EnumSource
  void whatIsWrongIsFoundAndNothingElse(WrittenJob.Fault fault) {
    for (int seed = 0; seed < EACH; seed++) {
      WrittenJob job = new WrittenJob(seed, fault);
      JobFinding finding = JobCheck.solve(job.on(look(job.text())));
      List<Kind> found = finding.problems().stream().map(JobProblem::kind).toList();
      Kind wanted = WrittenJob.kindOf(fault);
      assertThat(found)
          .as("%s, seed %d", fault, seed)
          .isEqualTo(wanted == null ? List.of() : List.of(wanted));
      assertThat(finding.verdict())
          .isEqualTo(
              fault == WrittenJob.Fault.NONE
                  ? Verdict.WITHIN
                  : wanted == Kind.BEAM_ON_TRAVEL || wanted == Kind.LEFT_ON
                      ? Verdict.STOP
                      : Verdict.ADJUST);
    }
  }

  /** Uniform acceleration, by hand: 100 mm at 100 mm/s and 1000 mm/s2 take 1 s and 0.1 s more. */
  @Test
  void timeIsThatOfUniformAcceleration() {
    Motion motion =
        new Motion(OptionalDouble.of(1000), OptionalDouble.of(500), OptionalDouble.of(200));
    String start = "G21\nG90\nG0 X0 Y0\nG1 F6000\n";
    assertThat(look(start + "X100\n", motion).seconds().orElseThrow()).isCloseTo(1.1, within(1e-9));
    // The same way in ten pieces is one way.
    StringBuilder pieces = new StringBuilder(start);
    for (int i = 1; i <= 10; i++) {
      pieces.append("X").append(10 * i).append('\n');
    }
    assertThat(look(pieces.toString(), motion).seconds().orElseThrow())
        .isCloseTo(1.1, within(1e-9));
    // Round a corner it stops: y has half the acceleration.
    assertThat(look(start + "X100\nY100\n", motion).seconds().orElseThrow())
        .isCloseTo(1.1 + 1.2, within(1e-9));
    // Too short for its speed: up and down at 1000 mm/s2, 2 * sqrt(1 / 1000).
    assertThat(look(start + "X1\n", motion).seconds().orElseThrow())
        .isCloseTo(2 * Math.sqrt(1 / 1000.0), within(1e-9));
    assertThat(look(start + "X100\nG4 P2\n", motion).seconds().orElseThrow())
        .isCloseTo(3.1, within(1e-9));
    assertThat(look(start + "X100\n", Motion.NOT_KNOWN).seconds()).isEmpty();
    assertThat(look("G21\nG90\nG1 X0 Y0\nX10\n", motion).secondsAtSpeed()).isEmpty();
  }

  @Test
  void arcsAreAsLongAndAsWideAsTheyAre() {
    String arc = "G21\nG90\nM4 S100\nG0 X10 Y0\nG3 X-10 Y0 I-10 J0 F600\n";
    JobLook half = look(arc);
    assertThat(half.burntMm()).isCloseTo(Math.PI * 10, within(0.03));
    assertThat(half.burnt().orElseThrow().maxY()).isCloseTo(10, within(0.02));
    assertThat(half.burnt().orElseThrow().minY()).isCloseTo(0, within(1e-9));
    JobLook clockwise = look(arc.replace("G3", "G2"));
    assertThat(clockwise.burnt().orElseThrow().minY()).isCloseTo(-10, within(0.02));
    JobLook byRadius = look("G21\nG90\nM4 S100\nG0 X0 Y0\nG2 X10 Y10 R10 F600\n");
    assertThat(byRadius.burntMm()).isCloseTo(Math.PI * 5, within(0.02));
    assertThat(byRadius.burnt().orElseThrow().minX()).isCloseTo(0, within(1e-9));
    JobLook whole = look("G21\nG90\nM4 S100\nG0 X10 Y0\nG2 X10 Y0 I-10 F600\n");
    assertThat(whole.burntMm()).isCloseTo(2 * Math.PI * 10, within(0.06));
  }

  @Test
  void passesAndUnknownWordsAreCounted() {
    StringBuilder text = new StringBuilder("G21\nG90\nM4 S100\nF600\nG64 P0.1\nQ7\n$99\n");
    for (int pass = 0; pass < 3; pass++) {
      text.append("G0 X0 Y0\nG1 X10\nX10 Y10\nX0 Y10\nX0 Y0\n");
    }
    text.append("G99\nG99\nM106 S3\n");
    JobLook look = look(text.toString());
    assertThat(look.passes()).isEqualTo(3);
    assertThat(look.unknown())
        .contains(new JobLook.Unknown("G99", 2), new JobLook.Unknown("M106", 1))
        .contains(new JobLook.Unknown("Q", 1), new JobLook.Unknown("$99", 1));
  }

  @Test
  void whatNobodySaidIsNotJudged() {
    JobLook look = look("G90\nM4 S500\nG0 X0 Y0\nG1 X20 Y20 F600\nM5\n");
    assertThat(look.unit()).isEqualTo(FileUnit.NOT_SAID);
    JobReadings nothing =
        new JobReadings(
            look,
            FileUnit.NOT_SAID,
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            JobReadings.Origin.NOT_SAID,
            OptionalDouble.empty(),
            Motion.NOT_KNOWN,
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            Optional.empty(),
            Optional.empty());
    JobFinding finding = JobCheck.solve(nothing);
    assertThat(finding.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(finding.timeBy()).isEqualTo(TimeBy.NOT_KNOWN);
    assertThat(finding.burntMm()).isEmpty();
    assertThat(finding.notJudged()).isNotEmpty();
  }

  @Test
  void aPercentageThatRunsBackwardsAndATimedRunAreUsed() {
    WrittenJob job = new WrittenJob(1, WrittenJob.Fault.NONE);
    JobReadings r = job.on(look(job.text()));
    JobReadings with =
        new JobReadings(
            r.look(),
            r.unitSaid(),
            r.travelXMm(),
            r.travelYMm(),
            r.origin(),
            r.topWord(),
            r.motion(),
            r.roundMm(),
            r.sectionMm(),
            Optional.of(new Timed(100, 130)),
            Optional.of(new OtherPercent(10, 90, 100)));
    JobFinding finding = JobCheck.solve(with);
    assertThat(finding.problems()).extracting(JobProblem::kind).contains(Kind.RUNS_BACKWARDS);
    assertThat(finding.timeBy()).isEqualTo(TimeBy.TIMED_RUN);
    assertThat(finding.seconds().orElseThrow())
        .isCloseTo(1.3 * r.look().secondsAtSpeed().orElseThrow(), within(1e-6));
  }

  private static void refused(String text, String because) {
    assertThatThrownBy(() -> look(text))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining(because);
  }

  @Test
  void whatIsNoProgramIsRefusedWithASentence() {
    refused("", "no motion");
    refused("a letter to my aunt\n".repeat(20), "no motion");
    refused("G21\nG1 X1 Y1\u0000\n", "no plain text in line 2");
    refused("G21\n" + "X".repeat(5000), "line 2");
    refused("G21\nG90\nG0 X0 Y0\nX99999999\n", "line 4");
  }

  @Test
  void noMutationThrowsAnythingElse() {
    byte[] whole = new WrittenJob(3, WrittenJob.Fault.NONE).text().getBytes(StandardCharsets.UTF_8);
    Random random = new Random(11);
    for (int i = 0; i < 3000; i++) {
      byte[] text = Arrays.copyOf(whole, 1 + random.nextInt(whole.length));
      for (int k = 0; k < 12; k++) {
        text[random.nextInt(text.length)] = (byte) random.nextInt(256);
      }
      try {
        JobReader.read("job", new ByteArrayInputStream(text), WrittenJob.motion(), b -> {});
      } catch (UnusableReading e) {
        assertThat(e.getMessage()).isNotBlank();
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }

  @Test
  void whatIsFreeAlongThePieceIsWhatNobodyBurns() throws IOException {
    String job = "G21 G90 M4\nG0 X10 Y5\nG1 X90 S500 F6000\nG0 X140 Y5\nG1 X150.05 Y9\n";
    JobReader.Read read =
        JobReader.read(
            "job",
            new ByteArrayInputStream(job.getBytes(StandardCharsets.UTF_8)),
            WrittenJob.motion(),
            bytes -> {});
    List<BurntAlong.Stretch> free = read.along().free(BurntAlong.Axis.X, 0, 300, 1);
    assertThat(free).hasSize(3);
    double[][] wanted = {{0, 10}, {90, 140}, {150.05, 300}};
    for (int k = 0; k < 3; k++) {
      assertThat(free.get(k).fromMm()).isCloseTo(wanted[k][0], within(0.11));
      assertThat(free.get(k).toMm()).isCloseTo(wanted[k][1], within(0.11));
      // What is burnt is never called free.
      assertThat(free.get(k).fromMm()).isGreaterThanOrEqualTo(wanted[k][0] - 1e-9);
      assertThat(free.get(k).toMm()).isLessThanOrEqualTo(wanted[k][1] + 1e-9);
    }
    assertThat(read.along().free(BurntAlong.Axis.Y, 0, 20, 30)).isEmpty();
  }
}
