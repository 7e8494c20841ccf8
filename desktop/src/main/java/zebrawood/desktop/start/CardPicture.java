package zebrawood.desktop.start;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.beans.property.ObjectProperty;
import javafx.css.PseudoClass;
import javafx.scene.text.Text;
import zebrawood.desktop.sheet.Drawing;
import zebrawood.desktop.sheet.LivePicture;
import zebrawood.desktop.sheet.Proven;
import zebrawood.start.GoLine;

/** The line that is next, to be read from the machine, and how far the card has come. */
final class CardPicture extends LivePicture {
  private static final double SIDE = 26;
  private static final double BEAM_Y = 60;
  private static final double DOT = 8;
  private static final PseudoClass YES = PseudoClass.getPseudoClass("yes");
  private static final PseudoClass NO = PseudoClass.getPseudoClass("no");

  private final StartModel model;

  CardPicture(StartModel model) {
    this.model = model;
    model.outcomeProperty().subscribe(o -> draw());
  }

  @Override
  protected void draw(Drawing on) {
    List<Map.Entry<GoLine, ObjectProperty<Proven>>> lines = List.copyOf(model.proofs().entrySet());
    double apart = (getWidth() - 2 * SIDE) / Math.max(1, lines.size() - 1);
    on.line(SIDE, BEAM_Y, getWidth() - SIDE, BEAM_Y, "trend-axis");
    for (int i = 0; i < lines.size(); i++) {
      boolean earlier = model.earlier(lines.get(i).getKey());
      Proven proven = lines.get(i).getValue().get();
      double x = SIDE + i * apart;
      var dot = on.circle(x, BEAM_Y, Math.min(DOT, apart / 2.4), "card-dot");
      dot.pseudoClassStateChanged(YES, proven == Proven.YES || earlier && proven != Proven.NO);
      dot.pseudoClassStateChanged(NO, proven == Proven.NO);
      if (proven == Proven.NO) {
        on.line(x - 4, BEAM_Y - 4, x + 4, BEAM_Y + 4, "card-cross");
        on.line(x - 4, BEAM_Y + 4, x + 4, BEAM_Y - 4, "card-cross");
      }
    }
    String next =
        model
            .next()
            .map(line -> capital(line.words()))
            .orElse(zebrawood.desktop.text.Text.of("start.picture.through"));
    String kind =
        model
            .next()
            .map(line ->
                zebrawood.desktop.text.Text.of(
                    "start.kind." + line.kind().name().toLowerCase(Locale.ROOT)))
            .orElse("");
    wide(on.words(kind, getWidth() / 2, getHeight() * 0.36, "plan-side"), getWidth());
    wide(on.words(next, getWidth() / 2, getHeight() * 0.52, "card-next"), getWidth());
  }

  private static void wide(Text text, double width) {
    text.setWrappingWidth(width - 2 * SIDE);
    text.setX(SIDE);
  }

  private static String capital(String words) {
    return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
  }
}
