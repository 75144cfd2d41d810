package finebore.formats;

import finebore.cutting.Operation;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.formats.json.Form;
import finebore.formats.json.Forms;
import finebore.formats.json.RecordForm;
import finebore.job.OldOverrule;
import finebore.job.Overrule;
import finebore.job.Plan;
import finebore.job.Plan.PlannedStep;
import finebore.seat.Seat;
import finebore.valve.Pairing;
import finebore.valve.Valve;
import java.util.List;
import java.util.Optional;

/** Plans in files, with the faults of theirs that were accepted. */
final class PlanForms {

  private PlanForms() {}

  private static final Form<Subject> SUBJECT =
      new RecordForm<>("") {
        private final Field<Subject.Kind> kind =
            field("kind", Forms.oneOf(Subject.Kind.values(), Subject.Kind::key), Subject::kind);
        private final Field<String> id = field("id", Forms.TEXT, Subject::id);

        @Override
        protected Subject of(Values v) {
          return new Subject(v.of(kind), v.of(id));
        }
      };

  private static final Form<Overrule> OVERRULE =
      new RecordForm<>("") {
        private final Field<FindingCode> finding =
            field("finding", Forms.oneOf(FindingCode.values(), FindingCode::key), Overrule::code);
        private final Field<String> seat = field("seat", Forms.TEXT, Overrule::seat);
        private final Field<Subject> subject = field("subject", SUBJECT, Overrule::subject);
        private final Field<Double> extent = field("extent", Forms.NUMBER, Overrule::extent);
        private final Field<Optional<Operation>> operation =
            field("operation", OperationForms.OPERATION.orNull(), Overrule::operation);
        private final Field<String> reason =
            field("reason", Forms.words(Overrule.LONGEST), Overrule::reason);

        @Override
        protected Overrule of(Values v) {
          return new Overrule(
              v.of(finding),
              v.of(seat),
              v.of(subject),
              v.of(extent),
              v.of(operation),
              v.of(reason));
        }
      };

  private static final Form<OldOverrule> TO_CONFIRM =
      new RecordForm<>("") {
        private final Field<String> where = field("where", Forms.TEXT, OldOverrule::where);
        private final Field<String> reason = field("reason", Forms.TEXT, OldOverrule::reason);

        @Override
        protected OldOverrule of(Values v) {
          return new OldOverrule(v.of(where), v.of(reason));
        }
      };

  /** A plan: the seat and valve wanted, and what brings them in. */
  static final Form<Plan> PLAN =
      new RecordForm<>("plan") {
        private final Field<Seat> seat = field("seat", SeatForms.SEAT, p -> p.wanted().seat());
        private final Field<Valve> valve = field("valve", SeatForms.VALVE, p -> p.wanted().valve());
        private final Field<List<PlannedStep>> operations =
            field(
                "operations",
                Forms.list(OperationForms.STEP).of(0, Plan.MOST_OPERATIONS).by("id"),
                Plan::steps);
        private final Field<List<Overrule>> overrules =
            field("overrules", Forms.list(OVERRULE), Plan::overrules);
        private final Field<List<OldOverrule>> toConfirm =
            field("toConfirm", Forms.list(TO_CONFIRM), Plan::toConfirm);
        private final Field<Boolean> followsFound =
            field("followsFound", Forms.FLAG, Plan::follows);
        private final Field<Boolean> ready = field("ready", Forms.FLAG, Plan::ready);

        @Override
        protected Plan of(Values v) {
          return new Plan(
              new Pairing(v.of(seat), v.of(valve)),
              v.of(operations),
              v.of(overrules),
              v.of(toConfirm),
              v.of(followsFound),
              v.of(ready));
        }
      };
}
