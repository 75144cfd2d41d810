package finebore.drawing;

import finebore.cutting.CutForm;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.SeatOutcome;
import finebore.seat.Seat;
import finebore.words.Words;
import java.util.List;

/** The drawings of a job's seats that go out as files. */
public final class JobDrawings {

  /** Scale at which words are legible on a section. */
  public static final double SCALE = 5;

  private JobDrawings() {}

  /**
   * The section of a seat, with dimensions.
   *
   * @param liftMm how far its valve stands open
   */
  public static Drawing section(Job job, SeatPlace seat, Words words, double liftMm) {
    return SectionDrawing.of(SeatOutcome.of(job, seat, job.planOf(seat)), words, SCALE, liftMm);
  }

  /** The outline of the form cutter that a seat's plan asks for, set as its plan sets it. */
  public static Drawing cutter(Job job, SeatPlace seat) {
    Seat wanted = job.planOf(seat).wanted().seat();
    double pointer =
        job.planOf(seat).operations().stream()
            .filter(CutForm.class::isInstance)
            .flatMapToDouble(o -> ((CutForm) o).seatDiameterMm().stream())
            .findFirst()
            .orElse(wanted.outsideDiameterMm());
    return CutterOutline.of(wanted.stack(), pointer);
  }

  /** Section as SVG, with its title, the valve at a lift. */
  public static String svg(Job job, SeatPlace seat, Words words, double liftMm) {
    return SvgDrawing.of(
        section(job, seat, words, liftMm),
        SCALE,
        words.text("drawing.title", "job", job.name(), "seat", seat.label()));
  }

  /** Found, planned and finished profile of a seat, or its cutter's outline, as DXF. */
  public static String dxf(Job job, SeatPlace seat, Words words, boolean cutter) {
    Drawing drawing = cutter ? cutter(job, seat) : section(job, seat, words, 0);
    return DxfDrawing.of(List.of(drawing), job.units());
  }
}
