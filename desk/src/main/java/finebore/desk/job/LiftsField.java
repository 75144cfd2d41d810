package finebore.desk.job;

import finebore.desk.controls.EntryField;
import finebore.desk.controls.Grammar;
import finebore.desk.session.JobSession;
import finebore.words.Notation;
import finebore.words.NotationException;
import finebore.words.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.layout.VBox;

/** The lifts flow is looked at, typed or pasted as a list. */
final class LiftsField extends VBox {

  /** Lifts with spaces, semicolons or line ends between them. */
  static final class Lifts implements Grammar<List<Double>> {

    @Override
    public List<Double> read(String text, UnitSystem units) throws NotationException {
      List<Double> lifts = new ArrayList<>();
      for (String one : text.strip().split("[\\s;]+")) {
        if (!one.isBlank()) {
          lifts.add(lift(text, one, units));
        }
      }
      if (lifts.isEmpty()) {
        throw Notation.unread(text, "notation.lifts");
      }
      return List.copyOf(lifts);
    }

    private static double lift(String text, String one, UnitSystem units) throws NotationException {
      try {
        return Notation.length(one, units);
      } catch (NotationException e) {
        throw Notation.unread(text, "notation.lifts");
      }
    }

    @Override
    public String written(List<Double> value, UnitSystem units) {
      return value.stream().map(units::lengthNumber).collect(Collectors.joining(" "));
    }

    @Override
    public String unit(UnitSystem units) {
      return units.length().symbol();
    }
  }

  LiftsField(JobSession session) {
    EntryField<List<Double>> field =
        new EntryField<>(
                "field-lifts",
                new Lifts(),
                session::words,
                session.messages(),
                (gesture, lifts) ->
                    session.edit(gesture, j -> j.withTest(j.test().withLiftsMm(lifts))))
            .named(session.say("job.lifts"));
    getChildren().add(field);
    Runnable show = () -> field.show(session.work().get().job().test().liftsMm());
    session.work().addListener((o, was, is) -> show.run());
    show.run();
  }
}
