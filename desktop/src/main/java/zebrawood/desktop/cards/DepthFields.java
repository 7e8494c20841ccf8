package zebrawood.desktop.cards;

import static zebrawood.desktop.station.Ways.needs;

import zebrawood.cards.CardGrid;
import zebrawood.cards.CardsTask;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Ways;
import zebrawood.quantity.Quantity;

/** How deep a square shall be, and what its depth was read to. */
final class DepthFields {
  private final QuantityField wanted;
  private final QuantityField readTo;
  private final SquareRows squares;

  DepthFields(StationForm form, SquareRows squares) {
    this.squares = squares;
    wanted = form.positive("wantedDepth", Quantity.LENGTH, 1000);
    readTo = form.positive("depthTo", Quantity.LENGTH, 1000);
  }

  Ways.Ask asks() {
    return needs(wanted, readTo);
  }

  CardsTask read(CardGrid grid) {
    return new CardsTask.ByDepth(grid, squares.depthsMm(), readTo.number(), wanted.number());
  }

  /** So deep as a square that was pressed. */
  void like(int column, int row) {
    if (row < squares.depthsMm().size() && column < squares.depthsMm().get(row).size()) {
      wanted.set(squares.depthsMm().get(row).get(column));
    }
  }

  void readTo(double mm) {
    if (readTo.isEmpty()) {
      readTo.set(mm);
    }
  }
}
