package finebore.drawing;

/** Layers of a drawing, with how a pen draws them. The name is the layer's name in files. */
public enum DrawingLayer {
  METAL(0x9a9a94, 0, 0, 0xe6e3dc),
  RING(0x6f6f6a, 0.3, 0, 0xcfcabf),
  NEIGHBOUR(0x9a9a94, 0.2, 0, 0xdedad2),
  REMOVED(0xc8452c, 0.2, 0, 0xf0a898),
  LACKING(0xb07a1c, 0.2, 0, 0xf3dfb5),
  FOUND(0xc8452c, 0.25, 0.8, -1),
  RUNOUT(0xb07a1c, 0.2, 1.6, -1),
  WATER(0x2f5d9b, 0.4, 1.2, -1),
  PLANNED(0x2f5d9b, 0.25, 2.2, -1),
  VALVE(0x8c6d1f, 0.4, 0, 0xf3e8c6),
  SHUT(0x8c6d1f, 0.2, 1.6, -1),
  FINISHED(0x2b2b2a, 0.5, 0, -1),
  CONTACT(0x2f5d9b, 1.0, 0, -1),
  GATE(0x2b2b2a, 0.4, 1.2, -1),
  REACHED(0x2f5d9b, 0.6, 0, -1),
  CUTTER(0x2b2b2a, 0.5, 0, -1),
  BORE(0x2b2b2a, 0.35, 0, -1),
  FIRE_RING(0xc8452c, 0.25, 2.2, -1),
  STOP_LINE(0xc8452c, 0.35, 0, -1),
  VALVE_HEAD(0x8c6d1f, 0.25, 0, -1),
  CHAMBER(0x2b2b2a, 0.5, 0, -1),
  TAKE_BACK(0x2f5d9b, 0.4, 2.2, -1),
  SCALE_BAR(0x2b2b2a, 0.35, 0, -1),
  AXIS(0x6f6f6a, 0.18, 3.5, -1),
  DIMENSIONS(0x2b2b2a, 0.18, 0, -1);

  private final int rgb;
  private final double widthMm;
  private final double dashMm;
  private final int fill;

  DrawingLayer(int rgb, double widthMm, double dashMm, int fill) {
    this.rgb = rgb;
    this.widthMm = widthMm;
    this.dashMm = dashMm;
    this.fill = fill;
  }

  public int rgb() {
    return rgb;
  }

  /** Width of the line on paper, mm; 0 for none. */
  public double widthMm() {
    return widthMm;
  }

  /** Length of a dash on paper, mm; 0 for an unbroken line. */
  public double dashMm() {
    return dashMm;
  }

  /** What closed outlines are filled with; less than 0 for nothing. */
  public int fill() {
    return fill;
  }

  /** Whether it belongs to the section, which is cut off at the window's edge. */
  public boolean isSection() {
    return this != DIMENSIONS && this != CUTTER;
  }
}
