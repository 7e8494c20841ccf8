package zebrawood.desktop.controller;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Stream;
import zebrawood.controller.Dialect;
import zebrawood.controller.Dialect.PrintedRole;
import zebrawood.controller.NamedFields;
import zebrawood.controller.Role;
import zebrawood.controller.WireSyntax;
import zebrawood.controller.WireSyntax.EndOfLine;
import zebrawood.controller.WireSyntax.RefusalText;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * How this machine's controller talks, as somebody says it with the manual in hand: one field for
 * each thing a {@link Dialect} says. What is empty is not known.
 */
final class DialectFields {
  /** Between several words or lines in one field. */
  private static final String BETWEEN = " | ";

  /** Between what a line begins with and what it means. */
  private static final String MEANS = " => ";

  private static final double USUAL_BAUD = 115_200;
  private static final double USUAL_ANSWER_S = 20;

  private final StationForm form;
  private final WordsField name;
  private final WordsField settingLine;
  private final WordsField writeLine;
  private final WordsField remark;
  private final Map<Role, WordsField> keys = new EnumMap<>(Role.class);
  private final Map<Role, Map<String, WordsField>> meanings = new EnumMap<>(Role.class);
  private final Map<String, WordsField> commands = new LinkedHashMap<>();
  private final Map<String, WordsField> states = new LinkedHashMap<>();
  private final WordsField ends;
  private final WordsField refusals;
  private final WordsField alarms;
  private final ChoiceField<EndOfLine> endOfLine;
  private final QuantityField baud;
  private final QuantityField longestAnswer;
  private final ChoiceField<IfKnown> alone;
  private final ChoiceField<IfKnown> fromHome;

  private List<Object> madeOf = List.of();
  private Optional<Dialect> made = Optional.empty();

  private static final List<String> COMMANDS =
      List.of(
          "askSettings",
          "askState",
          "stateLine",
          "home",
          "jog",
          "hold",
          "cancelMotion",
          "stopNow",
          "clearAlarm",
          "beamOn",
          "beamOff",
          "dwell",
          "idleHolds");

  DialectFields(StationForm form) {
    this.form = form;
    name = form.plainWords("dialect.name");
    settingLine = form.words("dialect.settingLine");
    writeLine = form.words("dialect.writeLine");
    remark = form.words("dialect.remark");
    for (Role role : Role.values()) {
      keys.put(role, form.words("role." + role.spelled(), Message.of(role), words -> {}));
      Map<String, WordsField> its = new LinkedHashMap<>();
      for (String meaning : role.meanings()) {
        its.put(
            meaning,
            form.words(
                "role." + role.spelled() + "." + meaning,
                Message.of("controller.dialect.meaning", role, Role.said(meaning)),
                words -> {}));
      }
      meanings.put(role, its);
    }
    for (String command : COMMANDS) {
      commands.put(command, form.words("talk." + command));
    }
    for (String state : List.of(WireSyntax.STANDING, WireSyntax.MOVING, WireSyntax.ALARM)) {
      states.put(state, form.words("talk.state." + state));
    }
    ends = form.words("talk.ends");
    refusals = form.words("talk.refusals");
    alarms = form.words("talk.alarms");
    endOfLine = form.choice("talk.endOfLine", EndOfLine.class, EndOfLine.LF);
    baud = form.quantity("talk.baud", Quantity.NUMBER, 300, 10_000_000);
    longestAnswer = form.quantity("talk.longestAnswer", Quantity.TIME, 0.1, 120);
    alone = form.choice("talk.alone", IfKnown.class, IfKnown.NOT_KNOWN);
    fromHome = form.choice("talk.fromHome", IfKnown.class, IfKnown.NOT_KNOWN);
  }

  /** Whether nobody said how it prints its settings. */
  boolean isEmpty() {
    return settingLine.isEmpty();
  }

  private static String text(WordsField field) {
    return field.text().strip();
  }

  private static Optional<String> said(WordsField field) {
    return field.isEmpty() ? Optional.empty() : Optional.of(text(field));
  }

  /**
   * What is typed, as a dialect; made anew only where something of it was typed since.
   *
   * @throws UnusableReading when something of it cannot be so
   */
  Dialect dialect() {
    List<Object> now =
        Stream.<Object>concat(
                all().map(WordsField::text),
                Stream.of(
                    endOfLine.get(),
                    baud.value(),
                    longestAnswer.value(),
                    alone.get(),
                    fromHome.get()))
            .toList();
    if (!now.equals(madeOf)) {
      made = Optional.empty();
      made = Optional.of(make());
      madeOf = now;
    }
    return made.orElseThrow();
  }

  private Dialect make() {
    Map<String, PrintedRole> roles = new LinkedHashMap<>();
    keys.forEach((role, key) -> {
      if (!key.isEmpty()) {
        roles.put(
            role.spelled(),
            role.isChoice()
                ? PrintedRole.choice(text(key), values(role))
                : PrintedRole.number(text(key)));
      }
    });
    return new Dialect(
        name.isEmpty() ? "–" : text(name),
        text(settingLine),
        writeLine.isEmpty() ? text(settingLine) : text(writeLine),
        remark.isEmpty() ? Optional.empty() : Optional.of(words(remark)),
        roles,
        commands.get("askSettings").isEmpty() ? Optional.empty() : Optional.of(talk()));
  }

  private Map<String, String> values(Role role) {
    Map<String, String> values = new LinkedHashMap<>();
    meanings
        .get(role)
        .forEach((meaning, field) -> {
          if (!field.isEmpty()) {
            values.put(meaning, text(field));
          }
        });
    return values;
  }

  private static List<String> words(WordsField field) {
    return Stream.of(text(field).split("\\s*[|]\\s*")).filter(s -> !s.isBlank()).toList();
  }

  private static List<RefusalText> meant(WordsField field) {
    return field
        .text()
        .lines()
        .filter(line -> !line.isBlank())
        .map(line -> {
          int at = line.indexOf(MEANS.strip());
          return at < 0
              ? new RefusalText(line.strip(), "")
              : new RefusalText(
                  line.substring(0, at).strip(),
                  line.substring(at + MEANS.strip().length()).strip());
        })
        .toList();
  }

  private Optional<String> command(String name) {
    return said(commands.get(name));
  }

  private WireSyntax talk() {
    Map<String, List<String>> called = new LinkedHashMap<>();
    states.forEach((state, field) -> called.put(state, words(field)));
    return new WireSyntax(
        endOfLine.get(),
        baud.value().orElse(USUAL_BAUD),
        longestAnswer.value().orElse(USUAL_ANSWER_S),
        // Until somebody said that it need not, it is left alone.
        alone.get() != IfKnown.NO,
        fromHome.get() == IfKnown.YES,
        command("askSettings").orElseThrow(),
        words(ends),
        meant(refusals),
        meant(alarms),
        command("askState"),
        command("stateLine"),
        called,
        command("home"),
        command("jog"),
        command("hold"),
        command("cancelMotion"),
        command("stopNow"),
        command("clearAlarm"),
        command("beamOn"),
        command("beamOff"),
        command("dwell"),
        command("idleHolds"));
  }

  /** Types a dialect into the fields, in the place of what stood there. */
  void take(Dialect dialect) {
    form.allAtOnce(() -> {
      all().forEach(field -> field.set(""));
      name.set(dialect.name());
      settingLine.set(dialect.settingLine());
      writeLine.set(dialect.writeLine());
      remark.set(String.join(BETWEEN, dialect.remark().orElse(List.of())));
      dialect
          .byRole()
          .forEach((role, said) -> {
            keys.get(role).set(said.key());
            said.values()
                .orElse(Map.of())
                .forEach((meaning, printed) -> meanings.get(role).get(meaning).set(printed));
          });
      dialect.talk().ifPresent(this::take);
    });
  }

  /** Nothing is known of it any more. */
  void forget() {
    form.allAtOnce(() -> all().forEach(field -> field.set("")));
  }

  private void take(WireSyntax talk) {
    endOfLine.set(talk.endOfLine());
    baud.set(talk.baud());
    longestAnswer.set(talk.longestAnswerS());
    alone.set(talk.aloneWhileStoring() ? IfKnown.YES : IfKnown.NO);
    fromHome.set(talk.placesFromHomeCorner() ? IfKnown.YES : IfKnown.NO);
    ends.set(String.join(BETWEEN, talk.ends()));
    refusals.set(lines(talk.refusals()));
    alarms.set(lines(talk.alarms()));
    talk.states().forEach((state, words) -> states.get(state).set(String.join(BETWEEN, words)));
    commands.get("askSettings").set(talk.askSettings());
    BiFunction<String, Optional<String>, Void> set =
        (command, text) -> {
          commands.get(command).set(text.orElse(""));
          return null;
        };
    set.apply("askState", talk.askState());
    set.apply("stateLine", talk.stateLine());
    set.apply("home", talk.home());
    set.apply("jog", talk.jog());
    set.apply("hold", talk.hold());
    set.apply("cancelMotion", talk.cancelMotion());
    set.apply("stopNow", talk.stopNow());
    set.apply("clearAlarm", talk.clearAlarm());
    set.apply("beamOn", talk.beamOn());
    set.apply("beamOff", talk.beamOff());
    set.apply("dwell", talk.dwell());
    set.apply("idleHolds", talk.idleHolds());
  }

  private static String lines(List<RefusalText> meant) {
    return String.join("\n", meant.stream().map(m -> m.begins() + MEANS + m.meaning()).toList());
  }

  private Stream<WordsField> all() {
    return Stream.of(
            Stream.of(name, settingLine, writeLine, remark, ends, refusals, alarms),
            keys.values().stream(),
            meanings.values().stream().flatMap(m -> m.values().stream()),
            commands.values().stream(),
            states.values().stream())
        .flatMap(s -> s);
  }

  /** Whether nobody said which setting plays this role. */
  boolean isUnknown(Role role) {
    return keys.get(role).isEmpty();
  }

  /** What was proposed and somebody confirmed. */
  void confirm(ProposedRoles.Row row) {
    form.allAtOnce(() -> {
      if (row.role().isEmpty()) {
        settingLine.set(row.key());
        return;
      }
      Role role = row.role().get();
      keys.get(role).set(row.key());
      row.values().forEach((meaning, printed) -> meanings.get(role).get(meaning).set(printed));
    });
  }

  /** Whether the lines are those of a page of named fields, which nothing is sent to. */
  boolean isPage() {
    return text(settingLine).equals(NamedFields.LINE) && commands.get("askSettings").isEmpty();
  }

  WordsField settingLine() {
    return settingLine;
  }

  WordsField writeLine() {
    return writeLine;
  }

  /** What the lines look like, and which of them plays which role. */
  List<Part> prints() {
    List<Field> rows = new ArrayList<>(List.of(name, settingLine, writeLine, remark));
    keys.forEach((role, key) -> {
      rows.add(key);
      rows.addAll(meanings.get(role).values());
    });
    return List.of(Part.hint("controller.dialect.hint"), new Part.Rows(rows));
  }

  /** How it is talked to over a link. */
  List<Part> talks() {
    List<Field> rows = new ArrayList<>(commands.values());
    rows.add(ends);
    rows.addAll(states.values());
    return List.of(
        Part.hint("controller.talk.hint"),
        new Part.Rows(rows),
        new Part.Area(refusals, 4, Message.of("controller.talk.meant")),
        new Part.Area(alarms, 3, Message.of("controller.talk.meant")),
        new Part.LabelledChoices(List.of(endOfLine, alone, fromHome)),
        Part.rows(baud, longestAnswer));
  }
}
