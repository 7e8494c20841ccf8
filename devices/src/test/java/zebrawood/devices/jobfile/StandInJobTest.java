package zebrawood.devices.jobfile;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import zebrawood.jobfile.FileUnit;
import zebrawood.jobfile.JobCheck;
import zebrawood.jobfile.JobFinding;
import zebrawood.jobfile.JobLook;
import zebrawood.jobfile.JobProblem;
import zebrawood.jobfile.JobProblem.Kind;
import zebrawood.jobfile.JobReader;
import zebrawood.jobfile.JobReadings;
import zebrawood.jobfile.Motion;
import zebrawood.measure.Verdict;

/** What is hidden in a job to practise on shows, and mended it is in order. */
class StandInJobTest {
  private static final Motion MOTION =
      new Motion(OptionalDouble.of(3000), OptionalDouble.of(3000), OptionalDouble.of(300));

  private static JobFinding found(StandInJob job) throws IOException {
    JobLook look;
    try (InputStream in = new ByteArrayInputStream(job.text().getBytes(StandardCharsets.UTF_8))) {
      look = JobReader.read("job", in, MOTION, bytes -> {}).look();
    }
    return JobCheck.solve(
        new JobReadings(
            look,
            FileUnit.NOT_SAID,
            OptionalDouble.of(700),
            OptionalDouble.of(500),
            JobReadings.Origin.CORNER,
            OptionalDouble.of(1000),
            MOTION,
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            Optional.empty(),
            Optional.empty()));
  }

  private static Set<Kind> kinds(JobFinding finding) {
    Set<Kind> kinds = new HashSet<>();
    finding.problems().stream().map(JobProblem::kind).forEach(kinds::add);
    return kinds;
  }

  @Test
  void whatIsHiddenIsFoundAndMended() throws IOException {
    Set<Kind> met = new HashSet<>();
    for (long number = 0; number < 60; number++) {
      StandInJob job = new StandInJob(number, 700, 500, 1000);
      met.addAll(job.wrong());
      assertThat(kinds(found(job))).as("number %d", number).isEqualTo(job.wrong());
      for (Kind kind : Set.copyOf(job.wrong())) {
        job.mend(kind);
      }
      assertThat(job.wrong()).isEmpty();
      assertThat(found(job).verdict()).isEqualTo(Verdict.WITHIN);
    }
    assertThat(met).containsExactlyInAnyOrderElementsOf(StandInJob.CAN_BE_WRONG);
  }
}
