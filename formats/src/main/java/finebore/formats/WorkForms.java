package finebore.formats;

import finebore.formats.json.Definitions;
import finebore.formats.json.Form;
import finebore.formats.json.Forms;
import finebore.formats.json.RecordForm;
import finebore.quantity.Quantity;
import finebore.work.ReadBack;
import finebore.work.ShopFigure;
import finebore.work.ShopSettings;
import finebore.work.StepKind;
import finebore.work.WorkEntry;
import finebore.work.WorkEntry.Taken;
import finebore.work.WorkLog;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What was done at the machine, and how the shop works, in files. */
final class WorkForms {

  private WorkForms() {}

  private static final Form<Taken> TAKEN =
      new RecordForm<>("") {
        private final Field<ReadBack> what =
            field("what", Forms.oneOf(ReadBack.values(), ReadBack::key), Taken::what);
        private final Field<Double> value = field("value", Forms.NUMBER, Taken::value);
        private final Field<String> gauge =
            field("gauge", Forms.text(WorkEntry.LONGEST), Taken::gauge);

        @Override
        protected Taken of(Values v) {
          return new Taken(v.of(what), v.of(value), v.of(gauge));
        }

        /** The bounds of the value are those of what was read. */
        @Override
        protected void refine(ObjectNode schema) {
          ArrayNode all = schema.putArray("allOf");
          for (ReadBack one : ReadBack.values()) {
            ObjectNode rule = all.addObject();
            rule.putObject("if").putObject("properties").putObject("what").put("const", one.key());
            rule.putObject("then")
                .putObject("properties")
                .set("value", Forms.number(one.quantity()).schema(new Definitions()));
          }
        }
      };

  private static final Form<WorkEntry> ENTRY =
      new RecordForm<>("logEntry") {
        private final Field<Integer> id =
            field("id", Forms.whole(1, Integer.MAX_VALUE), WorkEntry::number);
        private final Field<Instant> at = field("at", Forms.MOMENT, WorkEntry::at);
        private final Field<String> who =
            field("who", Forms.text(WorkEntry.LONGEST), WorkEntry::who);
        private final Field<String> seat = field("seat", Forms.TEXT, WorkEntry::seat);
        private final Field<String> step = field("step", Forms.TEXT, WorkEntry::step);
        private final Field<WorkEntry.Kind> kind =
            field(
                "kind", Forms.oneOf(WorkEntry.Kind.values(), WorkEntry.Kind::key), WorkEntry::kind);
        private final Field<Optional<Taken>> reading =
            field("reading", TAKEN.orNull(), WorkEntry::taken);
        private final Field<String> reason =
            field("reason", Forms.text(WorkEntry.LONGEST), WorkEntry::reason);
        private final Field<OptionalInt> corrects =
            field("corrects", Forms.wholeOrNull(), WorkEntry::corrects);

        @Override
        protected WorkEntry of(Values v) {
          return new WorkEntry(
              v.of(id),
              v.of(at),
              v.of(who),
              v.of(seat),
              v.of(step),
              v.of(kind),
              v.of(reading),
              v.of(reason),
              v.of(corrects));
        }

        /** A line has a reading where it says that something was read, and only there. */
        @Override
        protected void refine(ObjectNode schema) {
          schema
              .putObject("if")
              .putObject("properties")
              .putObject("kind")
              .put("const", WorkEntry.Kind.READ.key());
          ObjectNode then = schema.putObject("then");
          then.putArray("required").add("reading");
          then.putObject("properties").set("reading", Definitions.type("object"));
          schema.putObject("else").putObject("properties").set("reading", Definitions.type("null"));
        }
      };

  /** What was done, line by line. */
  static final Form<WorkLog> LOG =
      new RecordForm<>("log") {
        private final Field<List<WorkEntry>> entries =
            field("entries", Forms.list(ENTRY).by("id"), WorkLog::entries);

        @Override
        protected WorkLog of(Values v) {
          return new WorkLog(v.of(entries));
        }
      };

  private static Form<Map<StepKind, Double>> minutes() {
    return Forms.figures(StepKind.class, StepKind::key, k -> Quantity.STEP_MINUTES);
  }

  /** How the shop works; null is as usual. */
  static final Form<ShopSettings> SHOP =
      new RecordForm<>("shop") {
        private final Form<String> text = Forms.text(ShopSettings.LONGEST);
        private final Field<String> name = field("name", text, ShopSettings::name);
        private final Field<String> address = field("address", text, ShopSettings::address);
        private final Field<String> customer = field("customer", text, ShopSettings::customer);
        private final Field<String> currency = field("currency", text, ShopSettings::currency);
        private final Field<Map<ShopFigure, Double>> figures =
            field(
                "figures",
                Forms.figures(ShopFigure.class, ShopFigure::key, ShopFigure::quantity),
                ShopSettings::figures);
        private final Field<Map<StepKind, Double>> each =
            field("minutes", minutes(), ShopSettings::eachMinutes);
        private final Field<Map<StepKind, Double>> setUp =
            field("setUpMinutes", minutes(), ShopSettings::setUpMinutes);

        @Override
        protected ShopSettings of(Values v) {
          return new ShopSettings(
              v.of(name),
              v.of(address),
              v.of(customer),
              v.of(currency),
              v.of(figures),
              v.of(each),
              v.of(setUp));
        }
      };
}
