package zebrawood.recipe;

/** One step of changing over from one sheet to another, in the order in which it is safe. */
public enum Change {
  /** Shut the gas that was on, let its pressure out, open the other one, blow it through. */
  GAS,
  PRESSURE,
  NOZZLE,
  /** Behind every change of the nozzle. */
  CENTRE,
  FOCUS,
  /** The height that the head keeps; behind a change of the nozzle it is taught again. */
  HEIGHT,
  POWER,
  SPEED,
  FREQUENCY,
  DUTY,
  PIERCING,
  COOLING
}
