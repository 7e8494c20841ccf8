package zebrawood.devices.controller;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import zebrawood.controller.Dialect;
import zebrawood.controller.Dialect.PrintedRole;
import zebrawood.controller.Role;
import zebrawood.controller.WireSyntax;
import zebrawood.controller.WireSyntax.RefusalText;

/** Dialects that nobody speaks: any words, any marks, lines or single letters. */
final class RandomDialects {
  private static final String SYLLABLES = "ba ke lo mi nu pa re so ti vu wa xe zo";

  private final Random random;
  private final List<String> syllables = List.of(SYLLABLES.split(" "));
  private final List<String> taken = new ArrayList<>();

  RandomDialects(Random random) {
    this.random = random;
  }

  /** A word that was not given before. */
  private String word() {
    while (true) {
      StringBuilder letters = new StringBuilder();
      for (int i = 2 + random.nextInt(2); i > 0; i--) {
        letters.append(of(syllables));
      }
      String word = letters.toString();
      if (taken.stream().noneMatch(t -> t.startsWith(word) || word.startsWith(t))) {
        taken.add(word);
        return word;
      }
    }
  }

  private <T> T of(List<T> values) {
    return values.get(random.nextInt(values.size()));
  }

  Dialect next() {
    taken.clear();
    String between = of(List.of(" = ", "=", ": ", " -> ", "|", " "));
    String before = random.nextBoolean() ? "" : word() + " ";
    Map<String, PrintedRole> roles = new LinkedHashMap<>();
    for (Role role : Role.values()) {
      String key = random.nextInt(3) == 0 ? word() + random.nextInt(99) : word();
      if (role.isChoice()) {
        Map<String, String> values = new LinkedHashMap<>();
        List<String> printed = new ArrayList<>(List.of("0", "1", "2", "3"));
        Collections.shuffle(printed, random);
        for (int i = 0; i < role.meanings().size(); i++) {
          values.put(role.meanings().get(i), random.nextBoolean() ? printed.get(i) : word());
        }
        roles.put(role.spelled(), PrintedRole.choice(key, values));
      } else {
        roles.put(role.spelled(), PrintedRole.number(key));
      }
    }
    return new Dialect(
        word(),
        before + "{key}" + between + "{value}",
        word() + " {key}" + of(List.of(" ", " := ", ",")) + "{value}",
        random.nextBoolean() ? Optional.empty() : Optional.of(List.of(of(List.of("#", "--")))),
        roles,
        Optional.of(talk()));
  }

  private String line() {
    return word() + WireSyntax.END;
  }

  private WireSyntax talk() {
    boolean letters = random.nextBoolean();
    return new WireSyntax(
        of(List.of(WireSyntax.EndOfLine.values())),
        115_200,
        10 + random.nextInt(20),
        random.nextBoolean(),
        true,
        line(),
        List.of(word()),
        List.of(
            new RefusalText(word(), "first"), new RefusalText(word(), "soft limits need homing")),
        List.of(
            new RefusalText(word(), "homing found no switch"), new RefusalText(word(), "stopped")),
        Optional.of(letters ? "%" : line()),
        Optional.of(of(List.of("({state} {x} {y})", "{state}/{x}/{y}", "at {x};{y} {state}"))),
        Map.of(
            WireSyntax.STANDING,
            List.of(word()),
            WireSyntax.MOVING,
            List.of(word()),
            WireSyntax.ALARM,
            List.of(word())),
        Optional.of(line()),
        Optional.of(word() + " {x} {y} {speed}" + WireSyntax.END),
        Optional.of(letters ? "!" : line()),
        Optional.of(letters ? "&" : line()),
        Optional.of(letters ? "^" : line()),
        Optional.of(line()),
        Optional.of(word() + " {word}" + WireSyntax.END),
        Optional.of(line()),
        Optional.of(word() + " {seconds}" + WireSyntax.END),
        Optional.empty());
  }
}
