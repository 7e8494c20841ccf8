package zebrawood.desktop.stations;

import java.util.List;
import zebrawood.desktop.bed.BedModel;
import zebrawood.desktop.camera.CameraModel;
import zebrawood.desktop.cards.CardsModel;
import zebrawood.desktop.controller.ControllerModel;
import zebrawood.desktop.cooling.CoolingModel;
import zebrawood.desktop.fault.FaultModel;
import zebrawood.desktop.feed.FeedModel;
import zebrawood.desktop.field.FieldModel;
import zebrawood.desktop.focus.FocusModel;
import zebrawood.desktop.jobfile.JobFileModel;
import zebrawood.desktop.lens.LensModel;
import zebrawood.desktop.mirrors.MirrorsModel;
import zebrawood.desktop.power.PowerModel;
import zebrawood.desktop.recipe.RecipeModel;
import zebrawood.desktop.rotary.RotaryModel;
import zebrawood.desktop.site.SiteModel;
import zebrawood.desktop.start.StartModel;
import zebrawood.desktop.station.Solver;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.trial.TrialModel;
import zebrawood.desktop.upkeep.UpkeepModel;
import zebrawood.ledger.Station;

/** The stations that are built, in the order of the work. */
public final class StationList {
  private StationList() {}

  public static final List<StationDefinition> ALL =
      List.of(
          SiteModel.DEFINITION,
          CoolingModel.DEFINITION,
          StartModel.DEFINITION,
          ControllerModel.DEFINITION,
          MirrorsModel.DEFINITION,
          BedModel.DEFINITION,
          FocusModel.DEFINITION,
          LensModel.DEFINITION,
          FieldModel.DEFINITION,
          PowerModel.DEFINITION,
          CameraModel.DEFINITION,
          CardsModel.DEFINITION,
          RecipeModel.DEFINITION,
          TrialModel.DEFINITION,
          RotaryModel.DEFINITION,
          FeedModel.DEFINITION,
          JobFileModel.DEFINITION,
          UpkeepModel.DEFINITION,
          FaultModel.DEFINITION);

  public static List<Station> stations() {
    return ALL.stream().map(StationDefinition::station).toList();
  }

  public static List<Solver> solvers() {
    return ALL.stream().flatMap(m -> m.solvers().stream()).toList();
  }
}
