package zebrawood.desktop.controller;

import zebrawood.desktop.sheet.NodeView;

/** The parts of the controller's sheet that only it has. */
final class ControllerViews {
  private ControllerViews() {}

  /** The port, and what is read over it. */
  static NodeView link(ControllerModel model) {
    return pane -> model.link().linkBar();
  }

  static NodeView motion(ControllerModel model) {
    return pane -> model.link().linkBar().motion();
  }

  static NodeView shot(ControllerModel model) {
    return pane -> model.link().linkBar().shot();
  }

  static NodeView restore(ControllerModel model) {
    return pane -> model.link().linkBar().restore();
  }

  static NodeView snapshots(ControllerModel model) {
    return pane -> model.link().snapshots();
  }

  static NodeView file(ControllerModel model) {
    return pane -> new FileBar(model, pane);
  }

  static NodeView dialect(ControllerModel model) {
    return pane -> new DialectBar(model, model.dialect, model.proposed);
  }
}
