package zebrawood.desktop.controller;

import java.util.List;
import java.util.Optional;
import zebrawood.controller.Difference;
import zebrawood.controller.Role;
import zebrawood.controller.Settings;
import zebrawood.controller.Teaching;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.words.Message;

/** Which line of a bare list is a named switch: the one that changes as that switch is flipped. */
final class TaughtByChange {
  private static final int MOST_NAMED = 8;

  private final ControllerModel model;
  private final ChoiceField<Role> role;
  private final ChoiceField<ChangedTo> to;
  private Optional<Settings> before = Optional.empty();

  TaughtByChange(ControllerModel model, StationForm form) {
    this.model = model;
    role = form.choice("changedRole", Role.class, Role.LASER_FOLLOWS_MOTION);
    to = form.choice("changedTo", ChangedTo.class, ChangedTo.ON);
  }

  List<Part> parts() {
    return List.of(
        Part.hint("controller.change.hint"),
        new Part.Press("change-remember", Message.of("controller.change.remember"), this::remember),
        new Part.LabelledChoices(List.of(role, to)),
        new Part.Press("change-what", Message.of("controller.change.what"), this::ask));
  }

  private void remember() {
    before = model.settings();
    model.say(
        before
            .map(s -> Message.of("controller.change.remembered", s.values().size()))
            .orElseGet(this::notRead));
  }

  /** Nothing is there, or it is not known yet how its lines are printed. */
  private Message notRead() {
    return Message.of(
        model.dump.isEmpty()
            ? "controller.change.nothing-remembered"
            : "controller.change.lines-first");
  }

  private void ask() {
    Optional<Settings> now = model.settings();
    if (now.isEmpty()) {
      model.say(notRead());
      return;
    }
    if (before.isEmpty()) {
      model.say(Message.of("controller.change.nothing-remembered"));
      return;
    }
    Optional<Teaching.Proposal> one =
        Teaching.byChange(before.get(), now.get(), role.get(), to.get().meaning());
    if (one.isPresent()) {
      model.proposed.propose(one.get());
      return;
    }
    List<Difference> changed = Difference.between(before.get(), now.get());
    model.say(
        changed.isEmpty()
            ? Message.of("controller.change.none")
            : Message.of(
                "controller.change.not-one",
                changed.size(),
                Message.list(
                    changed.stream()
                        .limit(MOST_NAMED)
                        .map(d -> Message.quoted(d.name()))
                        .toList())));
  }
}
