package zebrawood.desktop.station;

import java.util.List;
import zebrawood.desktop.form.ProofField;
import zebrawood.records.kept.StationPaper;
import zebrawood.records.picture.SvgCanvas;

/** Makes of a station, as it stands, what paper shows of it; once, when an entry is recorded. */
public final class PaperMaker {
  private static final double WIDTH = 620;
  private static final double HEIGHT = 400;

  private PaperMaker() {}

  public static StationPaper of(StationModel<?, ?> model) {
    return new StationPaper(drawing(model), proven(model), model.settingsLeft(), model.caution());
  }

  private static String drawing(StationModel<?, ?> model) {
    if (!model.hasPaperDrawing()) {
      return "";
    }
    SvgCanvas on = new SvgCanvas(WIDTH, HEIGHT);
    model.draw(on);
    return on.svg();
  }

  private static List<StationPaper.Answered> proven(StationModel<?, ?> model) {
    return model
        .form()
        .proofs()
        .filter(p -> !p.isEmpty())
        .map(p -> new StationPaper.Answered(p.label(), p.get() == ProofField.Answer.YES))
        .toList();
  }
}
