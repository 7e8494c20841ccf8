package zebrawood.desktop.mirrors;

/** Which end of the gantry's travel mirror 1 stands at. */
public enum MirrorOneAt {
  REAR,
  FRONT
}
