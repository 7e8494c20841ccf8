package zebrawood.desktop.sheet;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import javafx.scene.Group;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Arc;
import javafx.scene.shape.ArcType;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Polyline;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.Shape;
import zebrawood.desktop.station.AuditRow;
import zebrawood.ledger.Standing;

/** A standing by shape first, colour second: tick, half disc, diamond, ring. */
public final class StandingMark extends Pane {
  private static final double RADIUS = 8;

  /** Those that were shown so far: to be made anew would cost their style each time. */
  private final Map<AuditRow.Mark, Group> groups = new EnumMap<>(AuditRow.Mark.class);

  private AuditRow.Mark shown;

  public StandingMark() {
    getStyleClass().add("standing-mark");
    setMinSize(20, 20);
    setPrefSize(20, 20);
    setMaxSize(20, 20);
  }

  public StandingMark(Standing standing) {
    this();
    show(standing);
  }

  public void show(Standing standing) {
    show(
        switch (standing) {
          case Standing.Holds h -> AuditRow.Mark.FITS;
          case Standing.Stale s -> AuditRow.Mark.CHANGED;
          case Standing.Out o -> AuditRow.Mark.WRONG;
          case Standing.Open o -> AuditRow.Mark.NOT_KNOWN;
          case Standing.Idle i -> AuditRow.Mark.NOT_KNOWN;
        });
  }

  /** The same shapes for one thing that was compared. */
  void show(AuditRow.Mark mark) {
    if (mark == shown) {
      return;
    }
    shown = mark;
    Group now = groups.computeIfAbsent(mark, StandingMark::drawn);
    if (now.getParent() == null) {
      getChildren().add(now);
    }
    groups.values().forEach(group -> group.setVisible(group == now));
  }

  private static Group drawn(AuditRow.Mark mark) {
    return new Group(
        switch (mark) {
          case FITS ->
              List.of(
                  styled(new Circle(10, 10, RADIUS), "mark-holds"),
                  styled(new Polyline(6, 10.3, 9, 13.2, 14, 7.4), "mark-tick"));
          case CHANGED -> {
            Arc half = new Arc(10, 10, RADIUS, RADIUS, 90, 180);
            half.setType(ArcType.CHORD);
            yield List.of(
                styled(new Circle(10, 10, RADIUS), "mark-stale-ring"), styled(half, "mark-stale"));
          }
          case WRONG ->
              List.of(
                  styled(new Polygon(10, 0.5, 19.5, 10, 10, 19.5, 0.5, 10), "mark-out"),
                  styled(new Rectangle(9, 5, 2, 6), "mark-sign"),
                  styled(new Rectangle(9, 12.6, 2, 2), "mark-sign"));
          case NOT_KNOWN -> List.of(styled(new Circle(10, 10, RADIUS), "mark-open"));
        });
  }

  private static Shape styled(Shape shape, String styleClass) {
    shape.getStyleClass().add(styleClass);
    return shape;
  }
}
