package zebrawood.desktop.jobfile;

import java.util.List;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Practice;
import zebrawood.devices.jobfile.StandInJob;
import zebrawood.jobfile.JobFinding;
import zebrawood.jobfile.JobReadings;
import zebrawood.words.Message;

/** A job that job software exported with something wrong in it. */
final class JobFilePractice extends Practice<JobFileModel, StandInJob, JobReadings, JobFinding> {
  private static final double TOP_WORD = 1000;

  JobFilePractice(JobFileModel model) {
    super(model);
  }

  @Override
  protected void prepare() {
    model.asThere(TOP_WORD);
  }

  @Override
  protected StandInJob make(long number) {
    return new StandInJob(number, model.travelXMm(), model.travelYMm(), TOP_WORD);
  }

  @Override
  protected void read(StandInJob from) {
    model.show(from.text());
  }

  @Override
  protected void obey(StandInJob on, Outcome.Solved<JobReadings, JobFinding> solved) {
    solved.finding().problems().forEach(p -> on.mend(p.kind()));
    model.forget();
  }

  @Override
  protected Message stands(StandInJob on) {
    return left(on.wrong().size());
  }

  @Override
  protected Message best(StandInJob on) {
    return mendedAtOnce(on.wrong().size());
  }

  @Override
  protected void ended() {
    model.forget();
  }

  @Override
  protected List<Deed<StandInJob>> deeds() {
    return StandInJob.CAN_BE_WRONG.stream()
        .map(k -> Deed.<StandInJob>of(Message.of("jobfile.practice.mend", k), on -> on.mend(k)))
        .toList();
  }
}
