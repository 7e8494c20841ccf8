package zebrawood.records.handover;

import zebrawood.ledger.Standing;

/** A standing's sign by shape first: tick, half disc, diamond, ring; as a small SVG. */
final class StandingSvg {
  private StandingSvg() {}

  static String of(Standing standing) {
    String shape =
        switch (standing) {
          case Standing.Holds h ->
              "<circle cx=\"6\" cy=\"6\" r=\"5\" fill=\"#17705A\"/>"
                  + "<polyline points=\"3.4,6.2 5.4,8 8.8,4.2\" fill=\"none\" stroke=\"#FFFFFF\""
                  + " stroke-width=\"1.4\"/>";
          case Standing.Stale s ->
              "<circle cx=\"6\" cy=\"6\" r=\"4.6\" fill=\"none\" stroke=\"#965B06\" stroke-width=\"1.2\"/>"
                  + "<path d=\"M 6 1.4 A 4.6 4.6 0 0 0 6 10.6 Z\" fill=\"#965B06\"/>";
          case Standing.Out o -> "<polygon points=\"6,0 12,6 6,12 0,6\" fill=\"#A61B1B\"/>";
          case Standing.Open o ->
              "<circle cx=\"6\" cy=\"6\" r=\"4.6\" fill=\"none\" stroke=\"#6F5F4E\" stroke-width=\"1.2\"/>";
        };
    return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"12\" height=\"12\">"
        + shape
        + "</svg>";
  }
}
