package finebore.formats;

import finebore.bench.BenchBook;
import finebore.flow.Bands;
import finebore.flow.CamLift;
import finebore.formats.json.Definitions;
import finebore.formats.json.Form;
import finebore.formats.json.Forms;
import finebore.formats.json.Node;
import finebore.formats.json.RecordForm;
import finebore.job.Engine;
import finebore.job.Group;
import finebore.job.Head;
import finebore.job.Job;
import finebore.job.JobIdentity;
import finebore.job.JobSettings;
import finebore.job.PistonSide;
import finebore.job.Pistons;
import finebore.job.Plan;
import finebore.job.TestPlan;
import finebore.quantity.Quantity;
import finebore.units.Units;
import finebore.valve.Pairing;
import finebore.work.ShopSettings;
import finebore.work.WorkLog;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A job in its file: every field with its name, kind and bounds, declared once. */
final class JobForms {

  private JobForms() {}

  private static final Form<Engine> ENGINE =
      new RecordForm<>("") {
        private final Field<Integer> cylinders =
            field("cylinders", Forms.count(Quantity.CYLINDERS), Engine::cylinders);
        private final Field<Integer> intakes =
            field(
                "intakesPerCylinder",
                Forms.count(Quantity.INTAKES_PER_CYLINDER),
                Engine::intakesPerCylinder);
        private final Field<Integer> exhausts =
            field(
                "exhaustsPerCylinder",
                Forms.count(Quantity.EXHAUSTS_PER_CYLINDER),
                Engine::exhaustsPerCylinder);
        private final Field<Double> boreMm =
            field("boreMm", Forms.number(Quantity.BORE), Engine::boreMm);
        private final Field<Double> strokeMm =
            field("strokeMm", Forms.number(Quantity.STROKE), Engine::strokeMm);
        private final Field<Double> rpm =
            field("rpm", Forms.number(Quantity.ENGINE_SPEED), Engine::rpm);
        private final Field<OptionalDouble> targetHp =
            field("targetHp", Forms.figure(Quantity.TARGET_POWER), Engine::targetHp);
        private final Field<OptionalDouble> spacingMm =
            field("valveSpacingMm", Forms.figure(Quantity.VALVE_SPACING), Engine::valveSpacingMm);
        private final Field<OptionalDouble> rodMm =
            field("rodMm", Forms.figure(Quantity.ROD), e -> e.pistons().rodMm());
        private final Field<OptionalDouble> deckMm =
            field("deckMm", Forms.figure(Quantity.DECK), e -> e.pistons().deckMm());
        private final Field<OptionalDouble> gasketMm =
            field("gasketMm", Forms.figure(Quantity.GASKET), e -> e.pistons().gasketMm());

        @Override
        protected Engine of(Values v) {
          return new Engine(
              v.of(cylinders),
              v.of(intakes),
              v.of(exhausts),
              v.of(boreMm),
              v.of(strokeMm),
              v.of(rpm),
              v.of(targetHp),
              v.of(spacingMm),
              new Pistons(v.of(rodMm), v.of(deckMm), v.of(gasketMm)));
        }
      };

  private static final Form<CamLift.Step> STEP =
      new RecordForm<>("") {
        private final Field<Double> crankDeg =
            field("crankDeg", Forms.number(Quantity.CAM_TABLE_DEGREE), CamLift.Step::crankDeg);
        private final Field<Double> liftMm =
            field("liftMm", Forms.number(Quantity.CAM_TABLE_LIFT), CamLift.Step::liftMm);

        @Override
        protected CamLift.Step of(Values v) {
          return new CamLift.Step(v.of(crankDeg), v.of(liftMm));
        }
      };

  private static final Form<CamLift> CAM =
      new RecordForm<>("") {
        private final Field<Double> maxLiftMm =
            field("maxLiftMm", Forms.number(Quantity.CAM_LIFT), CamLift::maxLiftMm);
        private final Field<Double> durationDeg =
            field("durationDeg", Forms.number(Quantity.CAM_DURATION), CamLift::durationDeg);
        private final Field<List<CamLift.Step>> table =
            field("table", Forms.list(STEP).of(0, CamLift.MOST_IN_TABLE).orNone(), CamLift::table);

        @Override
        protected CamLift of(Values v) {
          return new CamLift(v.of(maxLiftMm), v.of(durationDeg), v.of(table));
        }
      };

  private static final Form<Group> GROUP =
      new RecordForm<>("group") {
        private final Field<Pairing> found = field("found", SeatForms.PAIRING, Group::found);
        private final Field<List<Plan>> plans =
            field("plans", Forms.list(PlanForms.PLAN).of(1, Group.MOST_PLANS), Group::plans);
        private final Field<Integer> chosenPlan =
            field("chosenPlan", Forms.whole(1, Group.MOST_PLANS), g -> g.chosen() + 1);
        private final Field<CamLift> cam = field("cam", CAM, Group::cam);
        private final Field<OptionalDouble> axisFromBoreMm =
            field("axisFromBoreMm", Forms.figure(Quantity.AXIS_FROM_BORE), Group::axisFromBoreMm);
        private final Field<OptionalDouble> retainerToSealMm =
            field(
                "retainerToSealMm",
                Forms.figure(Quantity.RETAINER_TO_SEAL),
                Group::retainerToSealMm);
        private final Field<OptionalDouble> camCentreDeg =
            field(
                "camCentreDeg",
                Forms.figure(Quantity.CAM_CENTRE),
                g -> g.pistonSide().camCentreDeg());
        private final Field<OptionalDouble> lashMm =
            field("lashMm", Forms.figure(Quantity.LASH), g -> g.pistonSide().lashMm());
        private final Field<OptionalDouble> pocketDepthMm =
            field(
                "pocketDepthMm",
                Forms.figure(Quantity.POCKET_DEPTH),
                g -> g.pistonSide().pocketDepthMm());
        private final Field<OptionalDouble> pocketRadiusMm =
            field(
                "pocketRadiusMm",
                Forms.figure(Quantity.POCKET_RADIUS),
                g -> g.pistonSide().pocketRadiusMm());
        private final Field<OptionalDouble> pocketAngleDeg =
            field(
                "pocketAngleDeg",
                Forms.figure(Quantity.POCKET_ANGLE),
                g -> g.pistonSide().pocketAngleDeg());
        private final Field<OptionalDouble> pocketWallDeg =
            field(
                "pocketWallDeg",
                Forms.figure(Quantity.POCKET_WALL),
                g -> g.pistonSide().pocketWallDeg());

        @Override
        protected Group of(Values v) {
          return new Group(
              v.of(found),
              v.of(plans),
              v.of(chosenPlan) - 1,
              v.of(cam),
              v.of(axisFromBoreMm),
              v.of(retainerToSealMm),
              new PistonSide(
                  v.of(camCentreDeg),
                  v.of(lashMm),
                  v.of(pocketDepthMm),
                  v.of(pocketRadiusMm),
                  v.of(pocketAngleDeg),
                  v.of(pocketWallDeg)));
        }
      };

  private static final Form<Map.Entry<String, Plan>> EXCEPTION =
      new RecordForm<>("") {
        private final Field<String> seat = field("seat", Forms.TEXT, Map.Entry::getKey);
        private final Field<Plan> plan = field("plan", PlanForms.PLAN, Map.Entry::getValue);

        @Override
        protected Map.Entry<String, Plan> of(Values v) {
          return Map.entry(v.of(seat), v.of(plan));
        }
      };

  private static Map<String, Plan> bySeat(List<Map.Entry<String, Plan>> entries) {
    Map<String, Plan> exceptions = new LinkedHashMap<>();
    entries.forEach(e -> exceptions.put(e.getKey(), e.getValue()));
    return exceptions;
  }

  private static final Form<Bands> BANDS =
      new RecordForm<>("") {
        private final Field<Double> lowTo =
            field("lowTo", Forms.number(Quantity.BAND_LIMIT), Bands::lowTo);
        private final Field<Double> midTo =
            field("midTo", Forms.number(Quantity.BAND_LIMIT), Bands::midTo);

        @Override
        protected Bands of(Values v) {
          return new Bands(v.of(lowTo), v.of(midTo));
        }
      };

  private static final Form<TestPlan> TEST =
      new RecordForm<>("") {
        private final Field<List<Double>> liftsMm =
            field(
                "liftsMm",
                Forms.list(Forms.number(Quantity.LIFT)).of(1, TestPlan.MOST_LIFTS),
                TestPlan::liftsMm);
        private final Field<Double> depressionPa =
            field("depressionPa", Forms.number(Quantity.DEPRESSION), TestPlan::depressionPa);
        private final Field<Bands> bands = field("bands", BANDS, TestPlan::bands);

        @Override
        protected TestPlan of(Values v) {
          return new TestPlan(v.of(liftsMm), v.of(depressionPa), v.of(bands));
        }
      };

  /** A job. */
  static final Form<Job> JOB =
      new RecordForm<>("job") {
        private final Field<String> name =
            field("name", Forms.words(JobIdentity.LONGEST_NAME), Job::name);
        private final Field<String> purpose = field("purpose", Forms.TEXT, Job::purpose);
        private final Field<Units> units =
            field("units", Forms.oneOf(Units.values(), Units::key), Job::units);
        private final Field<String> practice = field("practice", Forms.TEXT, Job::practice);
        private final Field<Engine> engine = field("engine", ENGINE, Job::engine);
        private final Field<Head> head = field("head", HeadForms.HEAD, Job::head);
        private final Field<Group> intake = field("intake", GROUP, Job::intake);
        private final Field<Group> exhaust = field("exhaust", GROUP, Job::exhaust);
        private final Field<Map<String, Plan>> exceptions =
            field(
                "exceptions",
                Forms.list(EXCEPTION)
                    .by("seat")
                    .as(JobForms::bySeat, m -> List.copyOf(new TreeMap<>(m).entrySet())),
                Job::exceptions);
        private final Field<TestPlan> test = field("test", TEST, Job::test);
        private final Field<BenchBook> bench = field("bench", BenchForms.BOOK, Job::bench);
        private final Field<WorkLog> log = field("log", WorkForms.LOG, Job::log);
        private final Field<ShopSettings> shop = field("shop", WorkForms.SHOP, Job::shop);
        private final Field<String> notes = field("notes", Forms.TEXT, Job::notes);

        @Override
        protected Job of(Values v) {
          return new Job(
              new JobIdentity(v.of(name), v.of(purpose), v.of(notes)),
              new JobSettings(v.of(units), v.of(practice), v.of(test)),
              v.of(engine),
              v.of(head),
              v.of(intake),
              v.of(exhaust),
              v.of(exceptions),
              v.of(bench),
              v.of(log),
              v.of(shop));
        }
      };

  /** Lines of an {@link AirStore}; what is none is passed over, for it can be solved again. */
  private static final Form<List<String>> SOLVED_AIR =
      new Form<>() {
        @Override
        public List<String> read(Node n) {
          return n.isAbsent()
              ? List.of()
              : n.json().valueStream().filter(JsonNode::isString).map(JsonNode::asString).toList();
        }

        @Override
        public JsonNode write(List<String> lines) {
          ArrayNode list = JsonNodeFactory.instance.arrayNode();
          lines.forEach(list::add);
          return lines.isEmpty() ? null : list;
        }

        @Override
        public ObjectNode schema(Definitions definitions) {
          return Definitions.object();
        }

        @Override
        public boolean mayLack() {
          return true;
        }
      };

  /**
   * What a file holds.
   *
   * @param format what kind of file it is
   * @param version of the format
   */
  record Contents(String format, int version, Job job, List<String> solvedAir) {}

  /** A file of this version. */
  static final Form<Contents> FILE =
      new RecordForm<>("") {
        private final Field<String> format =
            field("format", Forms.oneOf(new String[] {JobFile.FORMAT}, f -> f), Contents::format);
        private final Field<Integer> version =
            field("version", Forms.whole(JobFile.VERSION, JobFile.VERSION), Contents::version);
        private final Field<Job> job = field("job", JOB, Contents::job);
        private final Field<List<String>> solvedAir =
            field("solvedAir", SOLVED_AIR, Contents::solvedAir);

        @Override
        protected Contents of(Values v) {
          return new Contents(v.of(format), v.of(version), v.of(job), v.of(solvedAir));
        }
      };
}
