package zebrawood.desktop.jobfile;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.text.Text;
import zebrawood.jobfile.Extent;
import zebrawood.jobfile.JobDrawing;
import zebrawood.jobfile.JobFinding;
import zebrawood.jobfile.JobProblem;
import zebrawood.jobfile.JobReadings;
import zebrawood.jobfile.JobReadings.Origin;
import zebrawood.jobfile.Place;
import zebrawood.quantity.Amount;
import zebrawood.records.picture.Canvas;

/** What a job burns, to scale, on the travel of its machine where that is known. */
final class JobPicture {
  private static final double EDGE = 26;
  private static final double RING = 9;
  private static final int SIDES = 16;
  private static final double NEAR = 44;
  private static final double WORDS = 12;

  /** More lines are not told apart on a screen, and take longer than a frame. */
  private static final int MOST_DRAWN = 6000;

  private final Canvas on;
  private double scale;
  private double left;
  private double bottom;
  private Extent shown;

  JobPicture(Canvas on) {
    this.on = on;
  }

  void draw(
      Optional<JobDrawing> drawing, Optional<Outcome.Solved<JobReadings, JobFinding>> solved) {
    if (drawing.isEmpty() || solved.isEmpty()) {
      on.words(Text.of("jobfile.picture.empty"), on.width() / 2, on.height() / 2, 240, "plan-side");
      return;
    }
    JobReadings r = solved.get().readings();
    Optional<Extent> moved = r.look().moved();
    if (moved.isEmpty()) {
      return;
    }
    Optional<Extent> travel = travel(r, moved.get());
    shown = travel.map(t -> around(t, moved.get())).orElse(moved.get());
    scale =
        Math.min(
            (on.width() - 2 * EDGE) / Math.max(shown.width(), 1e-6),
            (on.height() - 2 * EDGE) / Math.max(shown.depth(), 1e-6));
    left = (on.width() - scale * shown.width()) / 2;
    bottom = (on.height() + scale * shown.depth()) / 2;
    travel.ifPresent(t ->
        on.rectangle(
            x(t.minX()), y(t.maxY()), scale * t.width(), scale * t.depth(), "field-frame"));
    lines(drawing.get());
    on.words(
        Text.of(
            "jobfile.tile.by",
            Amount.mm(moved.get().width(), 0),
            Amount.mm(moved.get().depth(), 0)),
        on.width() / 2,
        on.height() - EDGE / 3,
        on.width() - EDGE,
        "plan-side");
    rings(solved.get().finding().problems());
  }

  /** A place with the numbers of what is wrong there. */
  private record Ring(double x, double y, String numbers) {
    boolean isNear(double px, double py) {
      return Math.hypot(px - x, py - y) < NEAR;
    }
  }

  /** Places that lie close together are one. */
  private void rings(List<JobProblem> problems) {
    List<Ring> rings = new ArrayList<>();
    for (int i = 0; i < problems.size(); i++) {
      Optional<Place> place = problems.get(i).place();
      if (place.isEmpty()) {
        continue;
      }
      String number = String.valueOf(i + 1);
      double px = x(place.get().x());
      double py = y(place.get().y());
      Optional<Ring> near = rings.stream().filter(r -> r.isNear(px, py)).findFirst();
      near.ifPresent(rings::remove);
      rings.add(
          near.map(r -> new Ring(r.x, r.y, r.numbers + ", " + number))
              .orElseGet(() -> new Ring(px, py, number)));
    }
    for (Ring ring : rings) {
      for (int i = 0; i < SIDES; i++) {
        double from = 2 * Math.PI * i / SIDES;
        double to = 2 * Math.PI * (i + 1) / SIDES;
        on.line(
            ring.x + RING * Math.cos(from),
            ring.y + RING * Math.sin(from),
            ring.x + RING * Math.cos(to),
            ring.y + RING * Math.sin(to),
            "field-error");
      }
      double above = ring.y - RING - WORDS;
      on.words(
          ring.numbers,
          Math.clamp(ring.x, EDGE, on.width() - EDGE),
          above < WORDS ? ring.y + RING + WORDS : above,
          2 * EDGE,
          "plan-side");
    }
  }

  private void lines(JobDrawing drawing) {
    int every = Math.max(1, Math.ceilDiv(drawing.size(), MOST_DRAWN));
    for (int i = 0; i < drawing.size(); i += every) {
      float[] l = drawing.line(i);
      on.line(
          x(l[0]), y(l[1]), x(l[2]), y(l[3]), drawing.isBurnt(i) ? "field-left" : "field-frame");
    }
  }

  /** Where the travel lies about the job's zero; empty where nobody said. */
  private static Optional<Extent> travel(JobReadings r, Extent moved) {
    if (r.travelXMm().isEmpty() || r.travelYMm().isEmpty() || r.origin() == Origin.NOT_SAID) {
      return Optional.empty();
    }
    double w = r.travelXMm().getAsDouble();
    double d = r.travelYMm().getAsDouble();
    if (r.origin() == Origin.CENTRE) {
      return Optional.of(new Extent(-w / 2, -d / 2, w / 2, d / 2));
    }
    double x = moved.maxX() <= 0 ? -w : 0;
    double y = moved.maxY() <= 0 ? -d : 0;
    return Optional.of(new Extent(x, y, x + w, y + d));
  }

  private static Extent around(Extent a, Extent b) {
    return new Extent(
        Math.min(a.minX(), b.minX()),
        Math.min(a.minY(), b.minY()),
        Math.max(a.maxX(), b.maxX()),
        Math.max(a.maxY(), b.maxY()));
  }

  private double x(double mm) {
    return left + scale * (mm - shown.minX());
  }

  private double y(double mm) {
    return bottom - scale * (mm - shown.minY());
  }
}
