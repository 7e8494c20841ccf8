package zebrawood.desktop.workshop;

import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import zebrawood.desktop.text.Text;
import zebrawood.quantity.DisplayUnits;
import zebrawood.words.Language;

/** What one person chose: initials, units, light or dark, how large. Each change is kept. */
final class PersonalChoices {
  private final ObjectProperty<DisplayUnits> units = new SimpleObjectProperty<>();
  private final ObjectProperty<Boolean> dark = new SimpleObjectProperty<>();
  private final ObjectProperty<Size> size = new SimpleObjectProperty<>();
  private final ObjectProperty<Language> language = new SimpleObjectProperty<>();
  private final ReadOnlyObjectWrapper<Optional<String>> initials =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final BiConsumer<String, String> keep;

  /**
   * @param keep keeps a choice under its name
   */
  PersonalChoices(Preferences before, BiConsumer<String, String> keep) {
    this.keep = keep;
    initials.set(before.initials());
    units.set(before.units());
    dark.set(before.dark());
    size.set(before.size());
    before.language().ifPresent(l -> Text.use(Text.words().in(l)));
    language.set(Text.words().language());
    Text.use(Text.words().with(units.get()));
    units.subscribe((old, now) -> {
      Text.use(Text.words().with(now));
      keep.accept(Preferences.LENGTH, now.length().name());
      keep.accept(Preferences.TEMPERATURE, now.temperature().name());
      keep.accept(Preferences.SPEED, now.speed().name());
      keep.accept(Preferences.INTERVAL, now.interval().name());
    });
    dark.subscribe((old, now) -> keep.accept(Preferences.DARK, now.toString()));
    language.subscribe((old, now) -> {
      Text.use(Text.words().in(now));
      keep.accept(Preferences.LANGUAGE, now.name());
    });
    size.subscribe((old, now) -> keep.accept(Preferences.SIZE, now.name()));
  }

  ObjectProperty<DisplayUnits> unitsProperty() {
    return units;
  }

  DisplayUnits units() {
    return units.get();
  }

  ObjectProperty<Boolean> darkProperty() {
    return dark;
  }

  ObjectProperty<Size> sizeProperty() {
    return size;
  }

  ObjectProperty<Language> languageProperty() {
    return language;
  }

  Optional<String> initials() {
    return initials.get();
  }

  ReadOnlyObjectProperty<Optional<String>> initialsProperty() {
    return initials.getReadOnlyProperty();
  }

  void setInitials(String words) {
    initials.set(Optional.of(words));
    keep.accept(Preferences.INITIALS, words);
  }
}
