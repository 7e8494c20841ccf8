package zebrawood.desktop.controller;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyStringProperty;
import zebrawood.controller.Role;
import zebrawood.controller.Teaching;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.measure.UnusableReading;
import zebrawood.records.json.RecordJson;
import zebrawood.words.Message;

/**
 * What was proposed of how a controller prints and nobody answered yet. It is kept with what is
 * typed, and nothing is judged or written by it: only what somebody confirms becomes part of the
 * {@link DialectFields}.
 */
final class ProposedRoles {
  /**
   * One proposal.
   *
   * @param role empty for the pattern of all lines
   * @param key what the setting is called; or the pattern
   * @param values what the meanings of a choice may be printed as
   * @param because why it is proposed
   */
  record Row(Optional<Role> role, String key, Map<String, String> values, Message because) {
    /** What it is and why, to stand before the question. */
    Message said() {
      Message what = role.map(Message::of).orElse(Message.of("controller.proposed.line"));
      Message as =
          values.isEmpty()
              ? Message.quoted(key)
              : Message.of(
                  "controller.proposed.values",
                  Message.quoted(key),
                  Message.list(
                      values.entrySet().stream()
                          .map(e ->
                              Message.of(
                                  "controller.proposed.value",
                                  Role.said(e.getKey()),
                                  Message.quoted(e.getValue())))
                          .toList()));
      return Message.of("controller.proposed", what, as, because);
    }

    /** Names it among the others. */
    String id() {
      return role.map(Role::spelled).orElse("line");
    }
  }

  private record Kept(List<Row> rows) {}

  private final WordsField kept;

  ProposedRoles(StationForm form) {
    kept = form.words("dialect.proposed");
  }

  /** Changes with the proposals. */
  ReadOnlyStringProperty textProperty() {
    return kept.textProperty();
  }

  List<Row> rows() {
    if (kept.isEmpty()) {
      return List.of();
    }
    try {
      return RecordJson.read(kept.text(), Kept.class).rows();
    } catch (UnusableReading e) {
      return List.of();
    }
  }

  /** In the place of what was proposed before; what somebody said already is not asked. */
  void propose(Teaching.Proposals proposals, DialectFields said) {
    List<Row> rows = new ArrayList<>();
    if (said.isEmpty()) {
      rows.add(
          new Row(
              Optional.empty(),
              proposals.settingLine().orElseThrow(),
              Map.of(),
              Message.of("controller.teaching.by-lines", proposals.lines())));
    }
    proposals.roles().stream()
        .filter(p -> said.isUnknown(p.role()))
        .map(p -> new Row(Optional.of(p.role()), p.key(), p.values(), p.because()))
        .forEach(rows::add);
    keep(rows);
  }

  /** One more, in the place of what was proposed for the same role. */
  void propose(Teaching.Proposal one) {
    Row row = new Row(Optional.of(one.role()), one.key(), one.values(), one.because());
    keep(
        Stream.concat(rows().stream().filter(r -> !r.role().equals(row.role())), Stream.of(row))
            .toList());
  }

  void remove(Row answered) {
    keep(rows().stream().filter(r -> !r.equals(answered)).collect(Collectors.toList()));
  }

  private void keep(List<Row> rows) {
    kept.set(rows.isEmpty() ? "" : RecordJson.write(new Kept(rows)));
  }
}
