package finebore.drawing;

import finebore.cutting.Form;
import finebore.drawing.Drawing.Box;
import finebore.drawing.Drawing.Outline;
import finebore.drawing.Drawing.Vertex;
import finebore.seat.CutStack;
import java.util.ArrayList;
import java.util.List;

/** The outline of a form cutter for whoever grinds it: its cuts, closed by a square blank. */
public final class CutterOutline {

  /** Blank left behind and beside the cuts, mm. */
  private static final double BLANK_MM = 5;

  private CutterOutline() {}

  /**
   * Draws it, the seat's outside edge at height 0.
   *
   * @param stack the cuts it is to leave
   * @param seatDiameterMm what its pointer is set to
   */
  public static Drawing of(CutStack stack, double seatDiameterMm) {
    Form form = Form.of(stack.cuts(), stack.sealing(), seatDiameterMm);
    List<Vertex> outline = new ArrayList<>(Arcs.of(form.points()));
    Vertex outer = outline.getFirst();
    Vertex inner = outline.getLast();
    double top = outer.y() + BLANK_MM;
    outline.add(new Vertex(inner.x(), top, 0));
    outline.add(new Vertex(outer.x(), top, 0));
    Box box = new Box(inner.x(), inner.y(), outer.x(), top);
    return new Drawing(
        List.of(new Outline(DrawingLayer.CUTTER, outline, true)), box, box.grown(1, 1, 1, 1));
  }
}
