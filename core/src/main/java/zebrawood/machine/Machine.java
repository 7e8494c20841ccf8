package zebrawood.machine;

import zebrawood.measure.Accepts;
import zebrawood.measure.Numbers;

/**
 * One machine as its data sheet describes it.
 *
 * @param id never changes, so that records from two laptops meet again
 * @param areaXMm travel to the right, or the field of a galvo head
 * @param areaYMm travel to the rear, or the field of a galvo head
 * @param bedSupport what the bed is levelled with; a galvo head is always shimmed
 * @param levelToleranceMm largest allowed difference of height over the bed, from the data sheet
 */
public record Machine(
    String id,
    String name,
    Build build,
    Source source,
    double areaXMm,
    double areaYMm,
    BedSupport bedSupport,
    double levelToleranceMm) {

  /** Longer names would not fit the sheet they are printed on. */
  private static final int LONGEST_NAME = 60;

  public Machine {
    var accepts = new Accepts().filled("id", id).filled("name", name);
    if (name != null && name.length() > LONGEST_NAME) {
      accepts.complain("name", name.length() + " letters", "at most " + LONGEST_NAME + " letters");
    }
    accepts
        .between("areaXMm", areaXMm, 10, 10_000)
        .between("areaYMm", areaYMm, 10, 10_000)
        .positive("levelToleranceMm", levelToleranceMm, 20)
        .orThrow();
  }

  /** Source and size in one line, such as "CO₂ glass tube 90 W · gantry with mirrors". */
  public String inOneLine() {
    return "%s %s W · %s · %s × %s mm · %s"
        .formatted(
            source.kind().words(),
            Numbers.plain(source.watts()),
            build.words(),
            Numbers.plain(areaXMm),
            Numbers.plain(areaYMm),
            wavelength());
  }

  /** Wavelength as printed on eyewear: in nm, thousands set apart. */
  public String wavelength() {
    long nm = Math.round(source.wavelengthNm());
    return nm >= 10_000 ? (nm / 1000) + " " + "%03d".formatted(nm % 1000) + " nm" : nm + " nm";
  }

  /** What everybody in the room must know whenever this machine is on. */
  public String standingCaution() {
    String eyewear = "Eyewear for " + wavelength() + " on everyone in the room";
    return switch (build) {
      case GANTRY_WITH_MIRRORS, FIBRE_CUTTING_HEAD -> eyewear + " · lid shut for full power";
      case GANTRY_WITH_HEAD_MODULE, GALVO -> eyewear + " · door shut, sign out";
    };
  }
}
