package finebore.desk.session;

import finebore.cutting.SectionDifference;
import finebore.flow.FlowChange;
import finebore.formats.PracticeFiles;
import finebore.job.Group;
import finebore.job.Job;
import finebore.job.Pairing;
import finebore.job.Port;
import finebore.practice.Finding;
import finebore.practice.Findings;
import finebore.practice.Practice;
import finebore.study.SeatStudy;
import java.util.List;
import java.util.Optional;

/**
 * All that the screens show of one group of seats, worked out in one go.
 *
 * @param job the job, or the previewed one
 * @param port which group
 * @param showFound whether the found state is the one looked at
 * @param practice whose ranges and findings
 * @param found study of the found state
 * @param planned study of the planned state
 * @param change planned against found
 * @param difference metal between found and planned
 * @param findings of the state looked at
 */
public record Work(
    Job job,
    Port port,
    boolean showFound,
    Practice practice,
    SeatStudy found,
    SeatStudy planned,
    Optional<FlowChange> change,
    SectionDifference difference,
    List<Finding> findings) {

  /**
   * Works a group out.
   *
   * @param before what was worked out last; its found study is taken over where only the plan has
   *     changed
   */
  public static Work of(Job job, Port port, boolean showFound, Optional<Work> before) {
    Group group = job.group(port);
    Practice practice = PracticeFiles.orDefault(job.practice());
    SeatStudy found =
        before
            .filter(b -> b.port() == port && b.job().withPlanned(port, group.planned()).equals(job))
            .map(Work::found)
            .orElseGet(() -> SeatStudy.of(job, port, group.found()));
    SeatStudy planned = SeatStudy.of(job, port, group.planned());
    Optional<FlowChange> change =
        found.curve().isEmpty() || planned.curve().isEmpty()
            ? Optional.empty()
            : Optional.of(
                FlowChange.between(
                    found.curve().get(),
                    planned.curve().get(),
                    job.test().bands(),
                    planned.pairing().valve().headDiameterMm(),
                    group.cam()));
    SeatStudy shown = showFound ? found : planned;
    return new Work(
        job,
        port,
        showFound,
        practice,
        found,
        planned,
        change,
        SectionDifference.between(found.seat().profile(), planned.seat().profile()),
        Findings.of(shown, practice, port, job.units()));
  }

  /** The study of the state looked at. */
  public SeatStudy shown() {
    return showFound ? found : planned;
  }

  public Pairing pairing() {
    return shown().pairing();
  }

  public Group group() {
    return job.group(port);
  }
}
