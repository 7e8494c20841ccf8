package zebrawood.desktop.camera;

/** How the camera is read. */
public enum CameraWay {
  PHOTO,
  MARKS,
  FRESH
}
