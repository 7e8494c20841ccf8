package zebrawood.desktop.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextArea;
import javafx.scene.control.TitledPane;
import zebrawood.desktop.fields.EntryField;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.sheet.AnsweredPane;
import zebrawood.desktop.sheet.PracticeBar;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.text.Text;
import zebrawood.site.Breathing.AirSource;
import zebrawood.site.Breathing.BlowerAt;
import zebrawood.site.Breathing.Outlet;
import zebrawood.site.Duct;
import zebrawood.site.NeverIn;
import zebrawood.site.SiteReadings.Item;
import zebrawood.site.WayIn;

/** The left column of the site sheet: earth and proofs, then one folded part for each question. */
final class SitePane extends AnsweredPane {
  private static final double NARROW = 104;

  private final SiteModel model;
  private final PracticeBar practiceBar;

  /**
   * @param afterLast what Enter in the last place does
   */
  SitePane(SiteModel model, SitePractice practice, Runnable afterLast) {
    super("site", afterLast);
    this.model = model;
    practiceBar =
        new PracticeBar(
            practice::start,
            () -> {
              practice.readAll();
              afterLast.run();
            });
    List<Node> parts = new ArrayList<>();
    parts.add(SheetFrame.columnTitle(Text.of("sheet.readings"), soft(Text.of("site.keys"))));
    parts.add(grid(List.of(model.feed().earth())));
    parts.add(proofRows(model.proofs(), i -> i.name().toLowerCase(Locale.ROOT), Item::words));
    parts.add(message());
    parts.add(practiceBar);
    parts.add(room());
    parts.add(wayIn());
    parts.add(
        part(
            "site.circuit",
            grid(model.feed().supply()),
            grid(model.feed().loads()),
            grid(model.feed().fuse())));
    parts.add(exhaust());
    if (model.breathing().hasAirAssist()) {
      parts.add(airAssist());
    }
    parts.add(eyewear());
    parts.add(unpacked());
    parts.add(neverIn());
    parts.add(part("site.limits", grid(List.of(model.feed().earthLimit()))));
    getChildren().addAll(parts);
    model.outcomeProperty().subscribe(o -> showMessage());
  }

  private TitledPane room() {
    return part(
        "site.room",
        grid(model.arrival().room()),
        soft(Text.of("site.room.limits")),
        grid(model.arrival().roomLimits()));
  }

  private TitledPane wayIn() {
    List<Node> kinds = new ArrayList<>();
    for (int i = 0; i < model.arrival().passages().size(); i++) {
      kinds.add(
          narrow(
              choice(
                  "way-" + (i + 1),
                  "site.way.kind",
                  List.of(WayIn.Kind.values()),
                  model.arrival().kind(i))));
    }
    return part(
        "site.way",
        table(
            List.of(Text.of("site.long"), Text.of("site.wide"), Text.of("site.high")),
            model.arrival().boxes(),
            List.of(soft(Text.of("site.bare")), soft(Text.of("site.crate")))),
        soft(Text.of("site.way.hint")),
        table(
            List.of(Text.of("site.way.first"), Text.of("site.way.second")),
            model.arrival().passages(),
            kinds),
        grid(model.arrival().weight()));
  }

  private static <E extends Enum<E>> ComboBox<E> narrow(ComboBox<E> box) {
    box.setPrefWidth(NARROW);
    return box;
  }

  private TitledPane exhaust() {
    List<Node> walls = new ArrayList<>();
    for (int i = 0; i < model.breathing().pieces().size(); i++) {
      walls.add(
          narrow(
              choice(
                  "wall-" + (i + 1),
                  "site.wall",
                  List.of(DuctWall.values()),
                  model.breathing().wall(i))));
    }
    List<Node> kinds = new ArrayList<>();
    for (int i = 0; i < model.breathing().fittings().size(); i++) {
      ComboBox<Duct.FittingKind> kind =
          choice(
              "fitting-" + (i + 1),
              "site.fitting",
              List.of(Duct.FittingKind.values()),
              model.breathing().fittingKind(i));
      kind.setPrefWidth(190);
      kinds.add(kind);
    }
    return part(
        "site.exhaust",
        grid(List.of(model.breathing().flow())),
        table(
            List.of(Text.of("site.bore"), Text.of("site.length"), Text.of("site.bends")),
            model.breathing().pieces(),
            walls),
        table(
            List.of(Text.of("site.bore"), Text.of("site.fitting")),
            model.breathing().fittings().stream().map(List::of).toList(),
            kinds),
        soft(Text.of("site.blower")),
        table(List.of("m³/h", "Pa"), model.breathing().fan(), List.of()),
        box(
            "site-blower-at",
            "site.blower-at",
            BlowerAt.values(),
            model.breathing().blowerAtProperty()),
        box("site-outlet", "site.outlet", Outlet.values(), model.breathing().outletProperty()));
  }

  private static <E extends Enum<E>> Node box(
      String id, String key, E[] values, ObjectProperty<E> chosen) {
    return choice(id, key, List.of(values), chosen);
  }

  private TitledPane airAssist() {
    return part(
        "site.air",
        box(
            "site-air-source",
            "site.air-source",
            AirSource.values(),
            model.breathing().airSourceProperty()),
        grid(model.breathing().air()));
  }

  private TitledPane eyewear() {
    return part(
        "site.eyewear",
        grid(model.eyewear().look()),
        soft(Text.of("site.shelf")),
        table(
            List.of(Text.of("site.from"), Text.of("site.to"), Text.of("site.density")),
            model.eyewear().filters(),
            List.of()),
        soft(Text.of("site.pulse")),
        grid(model.eyewear().pulse()));
  }

  private TitledPane unpacked() {
    TextArea list = new TextArea();
    list.setId("site-packing-list");
    list.setAccessibleText(model.arrival().parts().name());
    list.setPrefRowCount(5);
    list.textProperty().bindBidirectional(model.arrival().parts().textProperty());
    model
        .arrival()
        .parts()
        .problemProperty()
        .subscribe(p -> list.pseudoClassStateChanged(EntryField.UNUSABLE, !p.isEmpty()));
    List<NumberEntry> fibre = model.arrival().fibre();
    return part(
        "site.parts",
        Stream.concat(
                Stream.of(soft(Text.of("site.parts.hint")), list),
                fibre.isEmpty() ? Stream.empty() : Stream.of(grid(fibre)))
            .toArray(Node[]::new));
  }

  private static TitledPane neverIn() {
    return part(
        "site.never",
        Stream.of(NeverIn.values())
            .map(n -> soft(n.what() + ": " + n.why() + "."))
            .toArray(Node[]::new));
  }

  @Override
  protected void showPractice(String words) {
    practiceBar.show(words);
  }

  private void showMessage() {
    message()
        .refuse(
            model.outcomeProperty().get() instanceof SiteOutcome.Refused(String because)
                ? Optional.of(because)
                : Optional.empty());
  }
}
