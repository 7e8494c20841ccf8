package zebrawood.machine;

/** Kind of laser source, with the wavelength it usually has. */
public enum SourceKind {
  CO2_GLASS_TUBE(10_600, 90),
  CO2_RF_TUBE(10_600, 60),
  DIODE(450, 20),
  FIBRE(1064, 50),
  MOPA_FIBRE(1064, 60),
  UV(355, 5);

  private final double usualWavelengthNm;
  private final double usualWatts;

  SourceKind(double usualWavelengthNm, double usualWatts) {
    this.usualWavelengthNm = usualWavelengthNm;
    this.usualWatts = usualWatts;
  }

  public double usualWavelengthNm() {
    return usualWavelengthNm;
  }

  public double usualWatts() {
    return usualWatts;
  }

  /** As long as nobody said what cools it: a diode module and a small fibre source have air. */
  public boolean cooledByWater() {
    return this == CO2_GLASS_TUBE || coolingDiffers();
  }

  /** Whether some of them have air and some water, so that it must be asked. */
  public boolean coolingDiffers() {
    return this == CO2_RF_TUBE || this == UV;
  }

  /** Whether it gives pulses at a rate that is set, within a range of its own. */
  public boolean pulsed() {
    return this == FIBRE || this == MOPA_FIBRE || this == UV;
  }
}
