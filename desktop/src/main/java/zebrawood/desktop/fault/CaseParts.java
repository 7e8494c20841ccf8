package zebrawood.desktop.fault;

import java.util.ArrayList;
import java.util.List;
import zebrawood.desktop.station.Part;
import zebrawood.fault.Cause;
import zebrawood.words.Message;

/** The parts of a case's sheet that change with its answers: next test, what was tried, mended. */
final class CaseParts {
  private final FaultModel model;

  CaseParts(FaultModel model) {
    this.model = model;
  }

  List<Part> of(CaseLayout now) {
    if (now.dead()) {
      return List.of();
    }
    List<Part> parts = new ArrayList<>();
    now.next()
        .ifPresent(test -> {
          parts.add(
              new Part.Heading(
                  Message.of("fault.try-next"), Message.of("fault.minutes", test.minutes())));
          parts.add(new Part.Hint(Message.of(Message.keyOf(test) + ".how")));
          parts.add(Part.hint(test.fires() ? "fault.fires" : "fault.reach-in"));
          parts.add(Part.rows(model.fields(test)));
          parts.add(new Part.Press("fault-skip", Message.of("fault.skip"), () -> model.skip(test)));
        });
    if (now.next().isEmpty()) {
      parts.add(Part.hint("fault.no-next"));
    }
    if (!now.answered().isEmpty()) {
      parts.add(Part.heading("fault.tried", "fault.tried.back"));
      parts.add(Part.rows(now.answered().stream().flatMap(t -> model.fields(t).stream()).toList()));
      parts.add(new Part.Press("fault-again", Message.of("fault.again"), model::onceMore));
    }
    parts.add(
        Part.fold(
            "fault.instead",
            Part.rows(now.rest().stream().flatMap(t -> model.fields(t).stream()).toList())));
    parts.add(Part.heading("fault.mend", "fault.mend.proof"));
    now.mended().ifPresent(c -> parts.add(Part.hint("fault.mended", c)));
    for (Cause cause : now.likeliest()) {
      parts.add(
          new Part.Press(
              "fault-mended-" + FaultModel.spelled(cause),
              Message.of("fault.was-mended", cause),
              () -> model.mend(cause)));
    }
    now.likeliest().stream()
        .findFirst()
        .flatMap(Cause::station)
        .ifPresent(station ->
            parts.add(
                new Part.Press(
                    "fault-station",
                    Message.of("fault.open-station", Message.of(station + ".title")),
                    () -> model.openStation(station))));
    return parts;
  }
}
