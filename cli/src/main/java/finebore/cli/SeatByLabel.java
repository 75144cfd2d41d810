package finebore.cli;

import finebore.code.Message;
import finebore.code.Term;
import finebore.formats.FileProblem;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;

/** A seat of a job, named on the command line. */
final class SeatByLabel {

  private SeatByLabel() {}

  static SeatPlace of(Job job, String label) throws FileProblem {
    return job.engine().seats().stream()
        .filter(s -> s.label().equals(label))
        .findFirst()
        .orElseThrow(
            () ->
                new FileProblem(
                    Message.of("cli.noSeat")
                        .with("seat", Term.quote(label))
                        .with(
                            "seats",
                            Term.quote(
                                String.join(
                                    ", ",
                                    job.engine().seats().stream()
                                        .map(SeatPlace::label)
                                        .toList())))));
  }
}
