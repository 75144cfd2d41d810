package finebore.desk.plan;

import finebore.cutting.Cutter;
import finebore.cutting.Cutting;
import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.desk.controls.NumberField;
import finebore.desk.controls.NumberField.Kind;
import finebore.desk.session.JobSession;
import finebore.found.Ring;
import finebore.job.Plan;
import finebore.seat.Seat;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * The settings of one operation as a machinist sets them. A setting left open follows the plan; its
 * field shows what that comes to, and typing makes it a setting of its own.
 */
final class SettingsEditor extends VBox {

  private static final String AS_PLANNED = "as planned";
  private static final String DEPTH = "to a depth stop";
  private static final String CLEAN = "until the seat is clean";
  private static final String ALL_CLEAN = "until every cut is clean";
  private static final String TO_PLAN = "ground to the plan";

  private final JobSession session;
  private final int place;
  private final List<Runnable> updates = new ArrayList<>();
  private boolean showing;

  SettingsEditor(JobSession session, int place) {
    super(4);
    this.session = session;
    this.place = place;
    getStyleClass().add("settings");
    build(operation());
  }

  private Plan plan() {
    return session.work().get().plan().plan();
  }

  private Operation operation() {
    return plan().operations().get(place);
  }

  private Cutting.Step step() {
    return session.work().get().plan().cutting().steps().get(place);
  }

  private Seat wanted() {
    return plan().wanted().seat();
  }

  void show(Operation operation, Cutting.Step step) {
    showing = true;
    updates.forEach(Runnable::run);
    showing = false;
  }

  private void change(String gesture, Operation changed) {
    if (!showing) {
      session.editPlan(gesture, p -> p.withOperationAt(place, changed));
    }
  }

  private void build(Operation operation) {
    switch (operation) {
      case Operation.OpenThroat open -> {
        open(
            "Throat Ø to",
            o -> ((Operation.OpenThroat) o).diameterMm(),
            () -> wanted().throatDiameterMm(),
            (o, mm) -> {
              Operation.OpenThroat was = (Operation.OpenThroat) o;
              return new Operation.OpenThroat(mm, was.taperDeg(), was.depthMm());
            });
        number(
            "Taper",
            Kind.ANGLE,
            o -> ((Operation.OpenThroat) o).taperDeg(),
            (o, deg) -> {
              Operation.OpenThroat was = (Operation.OpenThroat) o;
              return new Operation.OpenThroat(was.diameterMm(), deg, was.depthMm());
            });
        open(
            "End below face",
            o -> ((Operation.OpenThroat) o).depthMm(),
            () -> step().depthMm().orElse(0),
            (o, mm) -> {
              Operation.OpenThroat was = (Operation.OpenThroat) o;
              return new Operation.OpenThroat(was.diameterMm(), was.taperDeg(), mm);
            });
      }
      case Operation.CutForm form -> {
        cutterChoice();
        open(
            "Seat Ø by pointer",
            o -> ((Operation.CutForm) o).seatDiameterMm(),
            () -> wanted().outsideDiameterMm(),
            (o, mm) -> {
              Operation.CutForm was = (Operation.CutForm) o;
              return new Operation.CutForm(was.cutter(), mm, was.plunge());
            });
        plunge(
            o -> ((Operation.CutForm) o).plunge(),
            (o, p) -> {
              Operation.CutForm was = (Operation.CutForm) o;
              return new Operation.CutForm(was.cutter(), was.seatDiameterMm(), p);
            },
            true);
      }
      case Operation.CutAngle cut -> {
        choice(
            "Tool",
            List.of("stone", "blade"),
            o -> ((Operation.CutAngle) o).tool().word(),
            (o, word) -> {
              Operation.CutAngle was = (Operation.CutAngle) o;
              return new Operation.CutAngle(
                  Operation.SingleTool.valueOf(word.toUpperCase(Locale.ROOT)),
                  was.angleDeg(),
                  was.edgeDiameterMm(),
                  was.plunge());
            });
        number(
            "Angle of cut",
            Kind.ANGLE,
            o -> ((Operation.CutAngle) o).angleDeg(),
            (o, deg) -> {
              Operation.CutAngle was = (Operation.CutAngle) o;
              return new Operation.CutAngle(was.tool(), deg, was.edgeDiameterMm(), was.plunge());
            });
        number(
            "Outer edge Ø",
            Kind.LENGTH,
            o -> ((Operation.CutAngle) o).edgeDiameterMm(),
            (o, mm) -> {
              Operation.CutAngle was = (Operation.CutAngle) o;
              return new Operation.CutAngle(was.tool(), was.angleDeg(), mm, was.plunge());
            });
        plunge(
            o -> ((Operation.CutAngle) o).plunge(),
            (o, p) -> {
              Operation.CutAngle was = (Operation.CutAngle) o;
              return new Operation.CutAngle(was.tool(), was.angleDeg(), was.edgeDiameterMm(), p);
            },
            false);
      }
      case Operation.SweepChamber sweep -> {
        number(
            "Sweep angle",
            Kind.ANGLE,
            o -> ((Operation.SweepChamber) o).angleDeg(),
            (o, deg) -> {
              Operation.SweepChamber was = (Operation.SweepChamber) o;
              return new Operation.SweepChamber(deg, was.reachDiameterMm(), was.startDiameterMm());
            });
        number(
            "Out to Ø",
            Kind.LENGTH,
            o -> ((Operation.SweepChamber) o).reachDiameterMm(),
            (o, mm) -> {
              Operation.SweepChamber was = (Operation.SweepChamber) o;
              return new Operation.SweepChamber(was.angleDeg(), mm, was.startDiameterMm());
            });
        open(
            "Touches the seat at Ø",
            o -> ((Operation.SweepChamber) o).startDiameterMm(),
            () -> 2 * session.work().get().plan().ideal().outsideEdge().r(),
            (o, mm) -> {
              Operation.SweepChamber was = (Operation.SweepChamber) o;
              return new Operation.SweepChamber(was.angleDeg(), was.reachDiameterMm(), mm);
            });
      }
      case Operation.CutUnder under -> {
        number(
            "Leans in",
            Kind.ANGLE,
            o -> ((Operation.CutUnder) o).leanDeg(),
            (o, deg) -> {
              Operation.CutUnder was = (Operation.CutUnder) o;
              return new Operation.CutUnder(
                  deg, was.fromDiameterMm(), was.heightMm(), was.radiusMm());
            });
        number(
            "Height",
            Kind.LENGTH,
            o -> ((Operation.CutUnder) o).heightMm(),
            (o, mm) -> {
              Operation.CutUnder was = (Operation.CutUnder) o;
              return new Operation.CutUnder(
                  was.leanDeg(), was.fromDiameterMm(), mm, was.radiusMm());
            });
        number(
            "Radius, 0: straight",
            Kind.LENGTH,
            o -> ((Operation.CutUnder) o).radiusMm(),
            (o, mm) -> {
              Operation.CutUnder was = (Operation.CutUnder) o;
              return new Operation.CutUnder(
                  was.leanDeg(), was.fromDiameterMm(), was.heightMm(), mm);
            });
      }
      case Operation.OpenBowl bowl -> {
        open(
            "Bowl Ø to",
            o -> ((Operation.OpenBowl) o).diameterMm(),
            () -> wanted().bowlDiameterMm(),
            (o, mm) -> new Operation.OpenBowl(mm, ((Operation.OpenBowl) o).depthMm()));
        open(
            "Reached below face",
            o -> ((Operation.OpenBowl) o).depthMm(),
            () -> step().depthMm().orElse(0),
            (o, mm) -> new Operation.OpenBowl(((Operation.OpenBowl) o).diameterMm(), mm));
      }
      case Operation.Blend blend -> {
        number(
            "Keep off the face",
            Kind.LENGTH,
            o -> ((Operation.Blend) o).keepOffMm(),
            (o, mm) -> {
              Operation.Blend was = (Operation.Blend) o;
              return new Operation.Blend(was.side(), mm, was.radiusMm());
            });
        number(
            "Blend radius",
            Kind.LENGTH,
            o -> ((Operation.Blend) o).radiusMm(),
            (o, mm) -> {
              Operation.Blend was = (Operation.Blend) o;
              return new Operation.Blend(was.side(), was.keepOffMm(), mm);
            });
      }
      case Operation.FitRing fit -> ringFields();
    }
    Label caution = new Label(finebore.cutting.CutSheet.caution(operation));
    caution.setWrapText(true);
    caution.setMinHeight(Region.USE_PREF_SIZE);
    caution.getStyleClass().addAll("small", "muted");
    getChildren().add(caution);
  }

  private void ringFields() {
    ring(
        "Ring outside Ø",
        Ring::outsideDiameterMm,
        (r, mm) ->
            new Ring(mm, r.insideDiameterMm(), r.floorMm(), r.heightMm(), r.fitMm(), r.material()));
    ring(
        "Ring bore Ø",
        Ring::insideDiameterMm,
        (r, mm) ->
            new Ring(
                r.outsideDiameterMm(), mm, r.floorMm(), r.heightMm(), r.fitMm(), r.material()));
    ring(
        "Floor below face",
        Ring::floorMm,
        (r, mm) ->
            new Ring(
                r.outsideDiameterMm(),
                r.insideDiameterMm(),
                mm,
                r.heightMm(),
                r.fitMm(),
                r.material()));
    ring(
        "Ring height",
        Ring::heightMm,
        (r, mm) ->
            new Ring(
                r.outsideDiameterMm(),
                r.insideDiameterMm(),
                r.floorMm(),
                mm,
                r.fitMm(),
                r.material()));
    ring(
        "Press fit on Ø",
        Ring::fitMm,
        (r, mm) ->
            new Ring(
                r.outsideDiameterMm(),
                r.insideDiameterMm(),
                r.floorMm(),
                r.heightMm(),
                mm,
                r.material()));
    TextField material = new TextField();
    material.setId("ring-material");
    material.setPromptText("material");
    material.setAccessibleText("Ring material");
    Runnable take =
        () -> {
          Ring r = ((Operation.FitRing) operation()).ring();
          if (!r.material().equals(material.getText().strip())) {
            change(
                "",
                new Operation.FitRing(
                    new Ring(
                        r.outsideDiameterMm(),
                        r.insideDiameterMm(),
                        r.floorMm(),
                        r.heightMm(),
                        r.fitMm(),
                        material.getText().strip())));
          }
        };
    material.setOnAction(e -> take.run());
    material.focusedProperty().addListener((o, was, is) -> run(!is, take));
    row("Material", material);
    updates.add(
        () -> {
          if (!material.isFocused()) {
            material.setText(((Operation.FitRing) operation()).ring().material());
          }
        });
  }

  private static void run(boolean when, Runnable action) {
    if (when) {
      action.run();
    }
  }

  private void ring(
      String name, ToDoubleFunction<Ring> value, BiFunction<Ring, Double, Ring> with) {
    number(
        name,
        Kind.LENGTH,
        o -> value.applyAsDouble(((Operation.FitRing) o).ring()),
        (o, mm) -> new Operation.FitRing(with.apply(((Operation.FitRing) o).ring(), mm)));
  }

  private void number(
      String name,
      Kind kind,
      ToDoubleFunction<Operation> value,
      BiFunction<Operation, Double, Operation> with) {
    NumberField field =
        new NumberField(
            name,
            kind,
            session::units,
            (gesture, read) -> change(gesture, with.apply(operation(), read)),
            session::endGesture);
    row(name, field);
    updates.add(() -> field.show(value.applyAsDouble(operation())));
  }

  /** A setting that may be left open. */
  private void open(
      String name,
      Function<Operation, OptionalDouble> value,
      java.util.function.DoubleSupplier follows,
      BiFunction<Operation, OptionalDouble, Operation> with) {
    NumberField field =
        new NumberField(
            name,
            Kind.LENGTH,
            session::units,
            (gesture, mm) -> change(gesture, with.apply(operation(), OptionalDouble.of(mm))),
            session::endGesture);
    Button back = new Button("as planned");
    back.getStyleClass().addAll("icon-button");
    back.setMinWidth(Region.USE_PREF_SIZE);
    back.setTooltip(new Tooltip("Lets it follow the plan again"));
    back.setId(NumberField.idOf(name) + "-open");
    back.setOnAction(e -> change("", with.apply(operation(), OptionalDouble.empty())));
    HBox both = new HBox(4, field, back);
    HBox.setHgrow(field, Priority.ALWAYS);
    row(name, both);
    updates.add(
        () -> {
          OptionalDouble own = value.apply(operation());
          field.show(own.orElseGet(follows));
          back.setVisible(own.isPresent());
          back.setManaged(own.isPresent());
        });
  }

  private void choice(
      String name,
      List<String> words,
      Function<Operation, String> value,
      BiFunction<Operation, String, Operation> with) {
    ChoiceBox<String> box = new ChoiceBox<>();
    box.getItems().setAll(words);
    box.setId("choice-" + name.toLowerCase(Locale.ROOT).replace(' ', '-'));
    box.setMaxWidth(Double.MAX_VALUE);
    box.setAccessibleText(name);
    updates.add(() -> box.setValue(value.apply(operation())));
    box.setValue(value.apply(operation()));
    box.valueProperty()
        .addListener((o, was, is) -> run(!showing, () -> change("", with.apply(operation(), is))));
    row(name, box);
  }

  /** Choosing a cutter brings its cuts into the wanted seat. */
  private void cutterChoice() {
    ChoiceBox<String> box = new ChoiceBox<>();
    box.setId("choice-cutter");
    box.setMaxWidth(Double.MAX_VALUE);
    box.setAccessibleText("Cutter");
    box.getItems().add(TO_PLAN);
    session.rack().forEach(c -> box.getItems().add(c.name()));
    Runnable update =
        () -> {
          String name = ((Operation.CutForm) operation()).cutter();
          if (!name.isEmpty() && !box.getItems().contains(name)) {
            box.getItems().add(name);
          }
          box.setValue(name.isEmpty() ? TO_PLAN : name);
        };
    update.run();
    updates.add(update);
    Label made = new Label();
    made.setWrapText(true);
    made.setMinHeight(Region.USE_PREF_SIZE);
    made.getStyleClass().addAll("small", "muted");
    updates.add(() -> made.setText(made(box.getValue())));
    box.valueProperty().addListener((o, was, is) -> run(!showing, () -> choose(is)));
    row("Cutter", box);
    getChildren().add(made);
  }

  private String made(String name) {
    return session.rack().stream()
        .filter(c -> c.name().equals(name))
        .findFirst()
        .map(
            c ->
                c.cuts().equals(wanted().cuts())
                    ? c.inWords() + ", " + c.use()
                    : "The plan's cuts differ from this cutter's: " + c.inWords())
        .orElse(name.equals(TO_PLAN) ? "" : "Not in the rack.");
  }

  private void choose(String name) {
    session.editPlan(
        "",
        plan -> {
          Operation.CutForm was = (Operation.CutForm) plan.operations().get(place);
          String chosen = name.equals(TO_PLAN) ? "" : name;
          Plan renamed =
              plan.withOperationAt(
                  place, new Operation.CutForm(chosen, was.seatDiameterMm(), was.plunge()));
          return session.rack().stream()
              .filter(c -> c.name().equals(chosen))
              .findFirst()
              .map(c -> withCuts(renamed, c))
              .orElse(renamed);
        });
  }

  private static Plan withCuts(Plan plan, Cutter cutter) {
    Seat seat = plan.wanted().seat().withCuts(cutter.cuts(), cutter.sealingCut());
    return plan.withWanted(plan.wanted().withSeat(seat));
  }

  private void plunge(
      Function<Operation, Plunge> value,
      BiFunction<Operation, Plunge, Operation> with,
      boolean form) {
    List<String> ways =
        form ? List.of(AS_PLANNED, DEPTH, CLEAN, ALL_CLEAN) : List.of(AS_PLANNED, DEPTH, CLEAN);
    choice(
        "Plunge",
        ways,
        o -> way(value.apply(o)),
        (o, way) ->
            with.apply(
                o,
                switch (way) {
                  case DEPTH -> new Plunge.ToDepth(Math.max(0, step().depthMm().orElse(0)));
                  case CLEAN -> new Plunge.UntilClean(0, false);
                  case ALL_CLEAN -> new Plunge.UntilClean(0, true);
                  default -> new Plunge.AsPlanned();
                }));
    NumberField field =
        new NumberField(
            "Depth",
            Kind.LENGTH,
            session::units,
            (gesture, mm) ->
                change(
                    gesture,
                    with.apply(
                        operation(),
                        value.apply(operation()) instanceof Plunge.UntilClean(double x, boolean all)
                            ? new Plunge.UntilClean(mm, all)
                            : new Plunge.ToDepth(mm))),
            session::endGesture);
    Label label = row("Depth", field);
    updates.add(
        () -> {
          switch (value.apply(operation())) {
            case Plunge.AsPlanned() -> {
              label.setText("Depth");
              field.show(step().depthMm().orElse(0));
            }
            case Plunge.ToDepth(double mm) -> {
              label.setText("Depth stop");
              field.show(mm);
            }
            case Plunge.UntilClean(double extra, boolean all) -> {
              label.setText("And more");
              field.show(extra);
            }
          }
        });
  }

  private static String way(Plunge plunge) {
    return switch (plunge) {
      case Plunge.AsPlanned() -> AS_PLANNED;
      case Plunge.ToDepth(double mm) -> DEPTH;
      case Plunge.UntilClean(double extra, boolean all) -> all ? ALL_CLEAN : CLEAN;
    };
  }

  private Label row(String name, Region field) {
    Label label = new Label(name);
    label.getStyleClass().addAll("small", "muted");
    label.setMinWidth(108);
    label.setPrefWidth(108);
    label.setWrapText(true);
    HBox row = new HBox(4, label, field);
    HBox.setHgrow(field, Priority.ALWAYS);
    getChildren().add(row);
    return label;
  }
}
