package zebrawood.desktop.help;

import zebrawood.records.picture.Canvas;

/** A drawing, without words, of how something is read or done. */
public enum HowTo {
  /** A feeler under the nozzle. */
  GAUGE {
    @Override
    public void draw(Canvas on) {
      line(on, 20, 118, 220, 118);
      line(on, 98, 20, 98, 62);
      line(on, 142, 20, 142, 62);
      line(on, 98, 62, 113, 100);
      line(on, 142, 62, 127, 100);
      line(on, 113, 100, 127, 100);
      on.rectangle(108, 102, 100, 14, FILL);
      arrow(on, 226, 109, 212, 109);
    }
  },
  /** A board tilted under a nozzle, with a line that is thinnest in its middle. */
  RAMP {
    @Override
    public void draw(Canvas on) {
      line(on, 20, 126, 220, 126);
      line(on, 30, 124, 212, 84);
      line(on, 212, 84, 212, 126);
      line(on, 104, 20, 104, 46);
      line(on, 136, 20, 136, 46);
      line(on, 104, 46, 114, 64);
      line(on, 136, 46, 126, 64);
      line(on, 114, 64, 126, 64);
      on.line(120, 66, 120, 104, RED);
      for (int i = -4; i <= 4; i++) {
        double x = 121 + 18 * i;
        on.circle(x, 124 - (x - 30) * 40 / 182, 1.2 + 0.18 * i * i, BURN);
      }
    }
  },
  /** A mount's or a bed's screw from above, with the way it is turned. */
  SCREW {
    @Override
    public void draw(Canvas on) {
      on.circle(120, 76, 34, LINE);
      line(on, 96, 76, 144, 76);
      on.arc(120, 76, 50, 150, -120, RED);
      arrow(on, 158, 42, 165, 54);
      line(on, 176, 76, 226, 76);
      on.circle(226, 76, 5, FILL);
    }
  },
  /** A tape between two ends. */
  TAPE {
    @Override
    public void draw(Canvas on) {
      on.rectangle(24, 36, 8, 78, FILL);
      on.rectangle(208, 36, 8, 78, FILL);
      line(on, 32, 76, 208, 76);
      for (int x = 40; x < 208; x += 12) {
        line(on, x, 76, x, x % 5 == 0 ? 62 : 69);
      }
      arrow(on, 60, 98, 33, 98);
      arrow(on, 180, 98, 207, 98);
      line(on, 60, 98, 180, 98);
    }
  },
  /** Two burns on a taped target. */
  SPOTS {
    @Override
    public void draw(Canvas on) {
      on.circle(120, 76, 58, LINE);
      line(on, 50, 76, 190, 76);
      line(on, 120, 8, 120, 144);
      on.circle(120, 76, 5, LINE);
      on.circle(150, 52, 8, BURN);
      arrow(on, 120, 76, 148, 76);
      arrow(on, 150, 76, 150, 62);
    }
  },
  /** A thermometer in the tank. */
  THERMOMETER {
    @Override
    public void draw(Canvas on) {
      on.rectangle(50, 70, 140, 66, LINE);
      line(on, 50, 86, 190, 86);
      on.rectangle(114, 14, 12, 96, LINE);
      on.circle(120, 116, 11, BURN);
      on.rectangle(117, 56, 6, 54, BURN);
      for (int y = 24; y < 70; y += 9) {
        line(on, 127, y, 135, y);
      }
    }
  },
  /** A type plate, one line of it marked. */
  PLATE {
    @Override
    public void draw(Canvas on) {
      on.rectangle(46, 24, 148, 104, LINE);
      for (int y = 44; y < 120; y += 18) {
        line(on, 60, y, y == 80 ? 176 : 140, y);
      }
      on.rectangle(54, 70, 130, 20, RED);
      for (int x : new int[] {53, 187}) {
        on.circle(x, 31, 2, FILL);
        on.circle(x, 121, 2, FILL);
      }
    }
  },
  /** A dial that is read straight from the front. */
  METER {
    @Override
    public void draw(Canvas on) {
      on.arc(120, 110, 78, 20, 140, LINE);
      for (int i = 0; i <= 8; i++) {
        double at = Math.toRadians(160 - i * 17.5);
        line(
            on,
            120 + 70 * Math.cos(at),
            110 - 70 * Math.sin(at),
            120 + 78 * Math.cos(at),
            110 - 78 * Math.sin(at));
      }
      on.line(120, 110, 152, 52, RED);
      on.circle(120, 110, 6, FILL);
    }
  },
  /** A listing on a screen, one line of it marked. */
  SCREEN {
    @Override
    public void draw(Canvas on) {
      on.rectangle(40, 16, 160, 100, LINE);
      for (int y = 32; y < 110; y += 15) {
        line(on, 52, y, 92, y);
        line(on, 104, y, 130 + y % 40, y);
      }
      on.rectangle(48, 54, 144, 16, RED);
      line(on, 120, 116, 120, 132);
      line(on, 88, 134, 152, 134);
    }
  },
  /** A watch. */
  WATCH {
    @Override
    public void draw(Canvas on) {
      on.circle(120, 84, 52, LINE);
      on.rectangle(112, 18, 16, 12, FILL);
      line(on, 120, 84, 120, 50);
      on.line(120, 84, 146, 96, RED);
      on.circle(120, 84, 4, FILL);
    }
  },
  /** What is printed on eyewear. */
  BOX {
    @Override
    public void draw(Canvas on) {
      on.rectangle(30, 50, 76, 50, LINE);
      on.rectangle(134, 50, 76, 50, LINE);
      line(on, 106, 66, 134, 66);
      line(on, 30, 62, 14, 44);
      line(on, 210, 62, 226, 44);
      line(on, 146, 86, 198, 86);
      on.rectangle(142, 78, 60, 16, RED);
    }
  },
  /** A round lid laid in the tightest bend of a fibre. */
  BEND {
    @Override
    public void draw(Canvas on) {
      line(on, 60, 140, 60, 86);
      on.arc(110, 86, 50, 180, -90, LINE);
      line(on, 110, 36, 210, 36);
      on.circle(108, 88, 44, FILL);
      on.line(108, 88, 77, 57, RED);
    }
  },
  /** A duct with a bend and its bore. */
  DUCT {
    @Override
    public void draw(Canvas on) {
      line(on, 20, 56, 150, 56);
      line(on, 20, 96, 110, 96);
      line(on, 150, 56, 150, 14);
      line(on, 110, 96, 110, 140);
      line(on, 150, 56, 150, 140);
      on.line(64, 58, 64, 94, RED);
      arrow(on, 64, 70, 64, 57);
      arrow(on, 64, 82, 64, 95);
    }
  },
  /** A finger on a switch, and a lamp that goes out. */
  HAND {
    @Override
    public void draw(Canvas on) {
      on.rectangle(46, 92, 92, 34, LINE);
      on.rectangle(76, 78, 32, 14, BURN);
      on.rectangle(84, 18, 16, 58, FILL);
      arrow(on, 92, 62, 92, 77);
      on.circle(190, 90, 20, LINE);
      line(on, 176, 76, 204, 104);
      line(on, 176, 104, 204, 76);
    }
  },
  /** The machine from above, one corner of it marked. */
  CHOOSE {
    @Override
    public void draw(Canvas on) {
      on.rectangle(50, 22, 140, 92, LINE);
      line(on, 50, 62, 190, 62);
      on.rectangle(106, 54, 22, 16, FILL);
      on.circle(50, 114, 9, RED);
      line(on, 104, 140, 120, 128);
      line(on, 136, 140, 120, 128);
    }
  };

  private static final String LINE = "how-line";
  private static final String FILL = "how-fill";
  private static final String RED = "how-red";
  private static final String BURN = "how-burn";

  public static final double WIDTH = 240;
  public static final double HEIGHT = 150;

  /** Draws it within {@value #WIDTH} by {@value #HEIGHT}. */
  public abstract void draw(Canvas on);

  private static void line(Canvas on, double fromX, double fromY, double toX, double toY) {
    on.line(fromX, fromY, toX, toY, LINE);
  }

  private static void arrow(Canvas on, double fromX, double fromY, double toX, double toY) {
    on.line(fromX, fromY, toX, toY, RED);
    double way = Math.atan2(toY - fromY, toX - fromX);
    for (double side : new double[] {2.6, -2.6}) {
      on.line(toX, toY, toX + 8 * Math.cos(way + side), toY + 8 * Math.sin(way + side), RED);
    }
  }
}
