package zebrawood.records.passport;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Recorded;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;
import zebrawood.records.Samples;
import zebrawood.records.workshop.Merged;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Soundness;
import zebrawood.records.workshop.Workshop;

class PassportFileTest {
  @TempDir private Path folder;

  private Workshop opened(String name) {
    return ((Opening.Opened) Workshop.open(folder.resolve(name))).workshop();
  }

  private static Entry entry(String id, int minutes) {
    return Samples.entry(id, EntryKind.AS_FOUND, minutes, Samples.onScrews(6, 7, 6, 6.5));
  }

  private Path written(Workshop from, String name) throws IOException {
    Path file = folder.resolve(name);
    PassportFile.write(from, Samples.ALDER, file);
    return file;
  }

  private static Merged take(Workshop to, Path passport) throws IOException {
    PassportFile read = PassportFile.read(passport, Workshop.version());
    return to.merge(read.machineId(), read.rows());
  }

  private static List<String> ids(Workshop workshop) {
    return workshop.history("alder").stream().map(Recorded::id).toList();
  }

  @Test
  void aWholeRecordComesOverEqual() throws IOException {
    try (Workshop from = opened("from");
        Workshop to = opened("to")) {
      from.record(Samples.ALDER, "EH", Samples.START);
      from.record(entry("a", 0));
      from.record(Samples.moved("m", 30));
      from.record(entry("b", 60));
      Path file = written(from, "alder.passport");
      assertThat(take(to, file)).isEqualTo(new Merged(3, 0, 1, false));
      assertThat(to.machines()).isEqualTo(from.machines());
      assertThat(to.history("alder")).isEqualTo(from.history("alder"));
      // Twice is harmless.
      assertThat(take(to, file)).isEqualTo(new Merged(0, 3, 0, false));
      assertThat(written(to, "again.passport")).hasSameBinaryContentAs(file);
    }
    assertThat(Soundness.of(folder.resolve("to"))).isEqualTo(new Soundness.Sound(1, 2, 1));
  }

  @Test
  void whatDoesNotFitIntoMemoryIsRefusedBeforeItIsRead() throws IOException {
    try (Workshop from = opened("from")) {
      from.record(Samples.ALDER, "EH", Samples.START);
      from.record(entry("a", 0));
      Path file = written(from, "alder.passport");
      long size = Files.size(file);
      assertThat(PassportFile.read(file, Workshop.version(), 2 * size).rows()).isNotEmpty();
      assertThatThrownBy(() -> PassportFile.read(file, Workshop.version(), size))
          .isInstanceOf(UnusableReading.class)
          .hasMessageContaining("MB of memory")
          .hasMessageContaining("that are free here");
    }
  }

  @Test
  void twoLaptopsThatWorkedApartEndEqual() throws IOException {
    for (int trial = 0; trial < 12; trial++) {
      Random random = new Random(trial);
      try (Workshop one = opened("one" + trial);
          Workshop other = opened("other" + trial)) {
        one.record(Samples.ALDER, "EH", Samples.START);
        one.record(entry("shared", 0));
        one.record(Samples.moved("shared too", 5));
        take(other, written(one, "first" + trial));
        for (int i = 0; i < 8; i++) {
          Workshop at = random.nextBoolean() ? one : other;
          if (random.nextBoolean()) {
            at.record(entry("e" + i, 10 + random.nextInt(90)));
          } else {
            at.record(Samples.moved("m" + i, 10 + random.nextInt(90)));
          }
        }
        Path ofOne = written(one, "one-out" + trial);
        Path ofOther = written(other, "other-out" + trial);
        take(one, ofOther);
        take(other, ofOne);
        assertThat(ids(one)).hasSize(10).isEqualTo(ids(other));
        // What is written next comes last on both.
        one.record(entry("next", 3));
        take(other, written(one, "last" + trial));
        assertThat(ids(other)).last().isEqualTo("next");
        assertThat(ids(other)).isEqualTo(ids(one));
      }
    }
  }

  @Test
  void aMachineThatBothDescribedAnewIsKeptTwice() throws IOException {
    try (Workshop one = opened("one");
        Workshop other = opened("other")) {
      one.record(Samples.ALDER, "EH", Samples.START);
      take(other, written(one, "first"));
      one.record(called("Alder A"), "EH", Samples.START.plusSeconds(60));
      other.record(called("Alder B"), "TR", Samples.START.plusSeconds(90));
      Path ofOne = written(one, "of-one");
      Path ofOther = written(other, "of-other");
      assertThat(take(one, ofOther).bothChanged()).isTrue();
      assertThat(take(other, ofOne).bothChanged()).isTrue();
      assertThat(one.machines()).isEqualTo(other.machines());
      assertThat(one.machines().readable().getFirst().name()).isEqualTo("Alder B");
    }
  }

  private static Machine called(String name) {
    return new Machine(
        "alder",
        name,
        Samples.ALDER.build(),
        Samples.ALDER.source(),
        700,
        500,
        Samples.ALDER.bedSupport(),
        0.25);
  }

  @Test
  void aLineThatSaysSomethingElseIsRefusedAndNothingChanges() throws IOException {
    try (Workshop one = opened("one");
        Workshop other = opened("other")) {
      one.record(Samples.ALDER, "EH", Samples.START);
      one.record(entry("a", 0));
      one.record(entry("new", 4));
      other.record(Samples.ALDER, "EH", Samples.START);
      other.record(entry("a", 7));
      Path file = written(one, "alder.passport");
      assertThatThrownBy(() -> take(other, file)).isInstanceOf(UnusableReading.class);
      assertThat(ids(other)).containsExactly("a");
    }
  }

  /** Every mutated file is refused, or says the same as before. */
  @Test
  void whatWasChangedIsRefusedWhole() throws IOException {
    byte[] whole;
    try (Workshop one = opened("one")) {
      one.record(Samples.ALDER, "EH", Samples.START);
      one.record(entry("a", 0));
      one.record(Samples.moved("m", 30));
      whole = Files.readAllBytes(written(one, "alder.passport"));
    }
    PassportFile as = PassportFile.read(new ByteArrayInputStream(whole), Workshop.version());
    Random random = new Random(6);
    int refused = 0;
    for (int i = 0; i < Integer.getInteger("passport.mutations", 1500); i++) {
      byte[] changed = mutated(whole, random);
      try {
        assertThat(PassportFile.read(new ByteArrayInputStream(changed), Workshop.version()))
            .isEqualTo(as);
      } catch (UnusableReading e) {
        refused++;
      }
    }
    assertThat(refused).isGreaterThan(1000);
  }

  private static byte[] mutated(byte[] whole, Random random) {
    return switch (random.nextInt(4)) {
      case 0 -> Arrays.copyOf(whole, random.nextInt(whole.length));
      case 1 -> {
        byte[] changed = whole.clone();
        changed[random.nextInt(changed.length)] = (byte) random.nextInt(256);
        yield changed;
      }
      case 2 -> {
        String text = new String(whole, StandardCharsets.ISO_8859_1);
        int at = random.nextInt(text.length());
        yield (text.substring(0, at) + "[[[[{\"a\":" + text.substring(at))
            .getBytes(StandardCharsets.ISO_8859_1);
      }
      default -> {
        List<String> lines =
            new ArrayList<>(new String(whole, StandardCharsets.UTF_8).lines().toList());
        Collections.swap(lines, random.nextInt(lines.size()), random.nextInt(lines.size()));
        yield (String.join("\n", lines) + "\n").getBytes(StandardCharsets.UTF_8);
      }
    };
  }

  @Test
  void whatIsNewerDeepOrNoPassportIsRefusedWithTheReason() {
    refused(
        "{\"format\":\"zebrawood-passport\",\"version\":3,\"machine\":\"a\",\"name\":\"A\"}\n",
        "version 3");
    refused("{\"format\":\"other\",\"version\":1,\"machine\":\"a\",\"name\":\"A\"}\n", "other");
    refused("", "no passport");
    refused("[".repeat(200_000), "no passport");
  }

  private static void refused(String text, String because) {
    assertThatThrownBy(() ->
            PassportFile.read(
                new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)),
                Workshop.version()))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining(because);
  }

  @Test
  void aFileIsNeverWrittenOver() throws IOException {
    Path there = Files.writeString(folder.resolve("mine"), "mine");
    try (Workshop one = opened("one")) {
      one.record(Samples.ALDER, "EH", Samples.START);
      assertThatThrownBy(() -> PassportFile.write(one, Samples.ALDER, there))
          .isInstanceOf(FileAlreadyExistsException.class);
    }
    assertThat(there).hasContent("mine");
  }
}
