package zebrawood.benchmarks;

import java.io.BufferedInputStream;
import java.io.BufferedWriter;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import zebrawood.jobfile.JobCheck;
import zebrawood.jobfile.JobLook;
import zebrawood.jobfile.JobProblem;
import zebrawood.jobfile.JobReader;
import zebrawood.jobfile.WrittenJob;
import zebrawood.jobfile.WrittenJob.Fault;

/**
 * Job files with one fault each: found, missed, wrongly accused; and how long a large one takes,
 * over reading its bytes alone.
 *
 * <p>Arguments: how many files, and the large one's size in MB.
 */
public final class JobFileTrials {
  private static final double MILLION = 1e6;
  private static final double BILLION = 1e9;

  private JobFileTrials() {}

  /** Runs the trials. */
  public static void main(String[] args) throws IOException {
    int files = args.length > 0 ? Integer.parseInt(args[0]) : 200;
    int megabytes = args.length > 1 ? Integer.parseInt(args[1]) : 200;
    int found = 0;
    int missed = 0;
    int accused = 0;
    Fault[] faults = Fault.values();
    for (int i = 0; i < files; i++) {
      Fault fault = faults[i % faults.length];
      WrittenJob job = new WrittenJob(1_000_000L + i, fault);
      JobLook look =
          JobReader.read(
                  "job",
                  new ByteArrayInputStream(job.text().getBytes(StandardCharsets.UTF_8)),
                  WrittenJob.motion(),
                  bytes -> {})
              .look();
      List<JobProblem.Kind> kinds =
          JobCheck.solve(job.on(look)).problems().stream().map(JobProblem::kind).toList();
      JobProblem.Kind wanted = WrittenJob.kindOf(fault);
      if (wanted != null && kinds.contains(wanted)) {
        found++;
      } else if (wanted != null) {
        missed++;
      }
      accused += (int) kinds.stream().filter(k -> k != wanted).count();
    }
    System.out.printf(
        Locale.ROOT,
        "%d files: found %d, missed %d, wrongly accused %d%n",
        files,
        found,
        missed,
        accused);
    large(megabytes);
  }

  private static void large(int megabytes) throws IOException {
    Path file = Files.createTempFile("zebrawood-job", ".nc");
    WrittenJob job = new WrittenJob(5, Fault.NONE);
    for (int seed = 6; job.isRelative(); seed++) {
      // One that goes by steps would wander off when it comes again and again.
      job = new WrittenJob(seed, Fault.NONE);
    }
    String text = job.text();
    try (BufferedWriter out = Files.newBufferedWriter(file)) {
      for (long n = 0; n < megabytes * (long) MILLION; n += text.length()) {
        out.write(text);
      }
    }
    long begun = System.nanoTime();
    long sum = 0;
    try (InputStream in = Files.newInputStream(file)) {
      byte[] buffer = new byte[1 << 16];
      for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
        for (int i = 0; i < n; i++) {
          sum += buffer[i];
        }
      }
    }
    double bytes = (System.nanoTime() - begun) / BILLION;
    begun = System.nanoTime();
    JobLook look;
    try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
      look = JobReader.read("large", in, WrittenJob.motion(), b -> {}).look();
    }
    double took = (System.nanoTime() - begun) / BILLION;
    Runtime here = Runtime.getRuntime();
    System.gc();
    System.out.printf(
        Locale.ROOT,
        "%d MB, %d lines: %.2f s, its bytes alone %.2f s (%d), ratio %.1f; memory after it %.0f MB%n",
        megabytes,
        look.lines(),
        took,
        bytes,
        sum,
        took / bytes,
        (here.totalMemory() - here.freeMemory()) / MILLION);
    Files.delete(file);
  }
}
