package zebrawood.controller;

import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * How one controller prints, names and takes its settings, as data. Which setting plays which role
 * was said by somebody with the manual in hand: a role that nobody named is missing here.
 *
 * @param settingLine one printed line, with {@code {key}} and {@code {value}} in it
 * @param writeLine one line as it is sent, with both
 * @param remark what begins a remark at a line's end
 * @param roles by the role's spelling
 * @param talk how it is talked to over a link; without it only what is pasted is read
 */
public record Dialect(
    String name,
    String settingLine,
    String writeLine,
    Optional<List<String>> remark,
    Map<String, PrintedRole> roles,
    Optional<WireSyntax> talk) {
  private static final int LONGEST_NAME = 80;
  private static final int LONGEST_WORD = 80;
  private static final int MOST_REMARKS = 10;

  /**
   * A role as this controller names and prints it.
   *
   * @param key as printed
   * @param values what each meaning of a choice is printed as; none for a number
   */
  public record PrintedRole(String key, Optional<Map<String, String>> values) {
    public PrintedRole {
      values = values.map(v -> Collections.unmodifiableMap(new LinkedHashMap<>(v)));
    }

    public static PrintedRole number(String key) {
      return new PrintedRole(key, Optional.empty());
    }

    public static PrintedRole choice(String key, Map<String, String> values) {
      return new PrintedRole(key, Optional.of(values));
    }
  }

  public Dialect {
    remark = remark.map(List::copyOf);
    roles = Collections.unmodifiableMap(new LinkedHashMap<>(roles));
    var accepts = new Accepts();
    word(accepts, "name", name, LONGEST_NAME);
    LinePattern.check(accepts, "settingLine", settingLine, Set.of("key", "value"));
    LinePattern.check(accepts, "writeLine", writeLine, Set.of("key", "value"));
    List<String> marks = remark.orElse(List.of());
    if (marks.size() > MOST_REMARKS) {
      accepts.complain(
          "remark",
          Message.of("accepts.of-them", marks.size()),
          Message.of("controller.dialect.most-remarks", MOST_REMARKS));
    }
    for (int i = 0; i < marks.size(); i++) {
      word(accepts, "remark[" + i + "]", marks.get(i), LONGEST_WORD);
    }
    roles(accepts, roles);
    accepts.orThrow();
  }

  private static void word(Accepts accepts, String field, String word, int longest) {
    if (word.isBlank()
        || word.length() > longest
        || word.chars().anyMatch(Character::isISOControl)) {
      accepts.complain(
          field,
          Message.of("accepts.text", Message.quoted(word)),
          Message.of("controller.dialect.word", longest));
    }
  }

  private static void roles(Accepts accepts, Map<String, PrintedRole> roles) {
    Map<String, String> keys = new HashMap<>();
    roles.forEach((spelled, said) -> {
      String field = "roles." + spelled;
      Optional<Role> role = Role.find(spelled);
      if (role.isEmpty()) {
        accepts.complain(field, Message.of("json.unknown-field"), Message.of("json.one-of", all()));
        return;
      }
      word(accepts, field + ".key", said.key, LONGEST_WORD);
      if (said.key.matches(".*[{}].*")) {
        accepts.complain(
            field + ".key",
            Message.of("accepts.text", Message.quoted(said.key)),
            Message.of("controller.dialect.no-braces"));
      }
      String before = keys.put(said.key.strip(), spelled);
      if (before != null) {
        accepts.complain(
            field + ".key",
            Message.of("accepts.text", Message.quoted(said.key)),
            Message.of("controller.dialect.key-taken", before));
      }
      if (role.get().isChoice() != said.values.isPresent()) {
        accepts.complain(
            field + ".values",
            Message.of(said.values.isPresent() ? "controller.dialect.values" : "accepts.missing"),
            Message.of(
                role.get().isChoice()
                    ? "controller.dialect.a-choice"
                    : "controller.dialect.a-number"));
        return;
      }
      meanings(accepts, field + ".values", role.get(), said.values.orElse(Map.of()));
    });
  }

  private static Message all() {
    return Message.verbatim(
        java.util.Arrays.stream(Role.values()).map(Role::spelled).toList().toString());
  }

  private static void meanings(
      Accepts accepts, String field, Role role, Map<String, String> values) {
    Map<String, String> printed = new LinkedHashMap<>();
    values.forEach((meaning, value) -> {
      if (!role.meanings().contains(meaning)) {
        accepts.complain(
            field + "." + meaning,
            Message.of("json.unknown-field"),
            Message.of("json.one-of", Message.verbatim(role.meanings().toString())));
      }
      word(accepts, field + "." + meaning, value, LONGEST_WORD);
      for (Map.Entry<String, String> other : printed.entrySet()) {
        if (Printed.same(other.getValue(), value)) {
          accepts.complain(
              field + "." + meaning,
              Message.of("accepts.text", Message.quoted(value)),
              Message.of("controller.dialect.value-taken", other.getKey()));
        }
      }
      printed.put(meaning, value);
    });
  }

  /** What is known of a role. */
  public Optional<PrintedRole> role(Role role) {
    return Optional.ofNullable(roles.get(role.spelled()));
  }

  public Optional<String> key(Role role) {
    return role(role).map(s -> s.key.strip());
  }

  /** The roles with what is known of them. */
  public Map<Role, PrintedRole> byRole() {
    Map<Role, PrintedRole> byRole = new EnumMap<>(Role.class);
    roles.forEach((spelled, said) -> byRole.put(Role.find(spelled).orElseThrow(), said));
    return byRole;
  }

  /** What a meaning of a choice is printed as; empty where that is not known. */
  public Optional<String> printed(Role role, String meaning) {
    return role(role).flatMap(PrintedRole::values).map(v -> v.get(meaning));
  }

  /** What a printed value of a choice means; empty where that is not known. */
  public Optional<String> meaning(Role role, String printed) {
    return role(role)
        .flatMap(PrintedRole::values)
        .flatMap(values ->
            values.entrySet().stream()
                .filter(e -> Printed.same(e.getValue(), printed))
                .map(Map.Entry::getKey)
                .findFirst());
  }

  /** A line that sets something to a value. */
  public Write write(String key, String value, Message meaning) {
    return new Write(
        key, value, LinePattern.of(writeLine).filled(Map.of("key", key, "value", value)), meaning);
  }

  /** A line that sets something, whatever role it plays. */
  public Write write(String key, String value) {
    Message meaning =
        byRole().entrySet().stream()
            .filter(e -> e.getValue().key().strip().equals(key))
            .findFirst()
            .map(e ->
                Message.of(
                    "controller.write.role",
                    e.getKey(),
                    meaning(e.getKey(), value).map(Role::said).orElse(Message.quoted(value))))
            .orElse(
                Message.of("controller.write.other", Message.quoted(key), Message.quoted(value)));
    return write(key, value, meaning);
  }

  public Dialect withTalk(WireSyntax how) {
    return new Dialect(name, settingLine, writeLine, remark, roles, Optional.of(how));
  }
}
