package zebrawood.desktop.station;

import java.util.List;
import zebrawood.desktop.workshop.WorkshopModel;

/** A station that knows what must be proven every day. */
public interface Guard {
  /** What is not proven today, and was not gone on without. */
  List<GuardLine> notProven(WorkshopModel workshop);

  /** Where it is proven. */
  String stationId();
}
