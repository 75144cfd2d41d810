package finebore.desk.plan;

import finebore.desk.session.Work;
import finebore.desk.theme.Palette;
import javafx.scene.canvas.GraphicsContext;

/**
 * What a section is drawn with.
 *
 * @param text size of text, px
 */
record Sheet(
    GraphicsContext g,
    Work work,
    ViewFrame frame,
    Palette palette,
    double width,
    double height,
    double text) {}
