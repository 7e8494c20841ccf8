package zebrawood.records.site;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.site.Arrival;
import zebrawood.site.Breathing;
import zebrawood.site.Breathing.BlowerAt;
import zebrawood.site.Breathing.Outlet;
import zebrawood.site.Duct;
import zebrawood.site.Feed;
import zebrawood.site.SiteReadings;
import zebrawood.site.SiteReadings.Item;
import zebrawood.site.SiteReadings.Proof;

class DuctSvgTest {
  private static final OptionalDouble NONE = OptionalDouble.empty();

  private static SiteRecord kept(Optional<Duct.Readings> duct) {
    return new SiteRecord(
        Map.of("reading.earth", "0.1"),
        new SiteReadings(
            Arrival.NOTHING_READ,
            new Feed(OptionalDouble.of(0.1), 0.5, Optional.empty(), NONE, NONE, NONE, NONE),
            new Breathing(duct, BlowerAt.OUTLET, Outlet.OUTDOORS, Optional.empty()),
            Optional.empty(),
            NONE,
            List.of(new Proof(Item.STRAPS, true))));
  }

  @Test
  void eachPieceAndTheSuctionAreDrawn() {
    Duct.Readings duct =
        Duct.Readings.of(
            List.of(new Duct.Piece(150, 2, 1, 0.5), new Duct.Piece(125, 3, 2, 1.5)),
            List.of(new Duct.Fitting(Duct.FittingKind.FLANGED_PORT, 150)),
            350,
            Optional.empty());
    String svg = DuctSvg.of(kept(Optional.of(duct)));
    assertThat(svg.split("<rect")).hasSize(3);
    assertThat(svg).contains("150 mm", "125 mm", "at 350 m³/h").doesNotContain("NaN");
    assertThat(DuctSvg.of(kept(Optional.empty()))).isEmpty();
  }

  @Test
  void whatWasReadComesBack() {
    SiteRecord record =
        kept(
            Optional.of(
                Duct.Readings.of(
                    List.of(new Duct.Piece(100, 1, 0, 0.1)),
                    List.of(new Duct.Fitting(Duct.FittingKind.OUTLET, 100)),
                    200,
                    Optional.of(List.of(new Duct.FanPoint(0, 300), new Duct.FanPoint(400, 0))))));
    assertThat(SiteRecord.of(SiteRecord.readings(record.typed(), record.readings())))
        .isEqualTo(record);
  }
}
