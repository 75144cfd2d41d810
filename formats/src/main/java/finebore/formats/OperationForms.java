package finebore.formats;

import finebore.code.Coded;
import finebore.cutting.Operation;
import finebore.cutting.OperationSetting;
import finebore.cutting.Plunge;
import finebore.cutting.SettingValues;
import finebore.formats.json.Definitions;
import finebore.formats.json.Form;
import finebore.formats.json.Forms;
import finebore.formats.json.Node;
import finebore.formats.json.RecordForm;
import finebore.formats.json.UnionForm;
import finebore.formats.json.UnionForm.Case;
import finebore.job.Plan.PlannedStep;
import finebore.quantity.Quantity;
import finebore.quantity.Setting;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Operations in files: their kind, and every setting under its name as it is declared; one that is
 * left open is null.
 */
final class OperationForms {

  private OperationForms() {}

  private static final RecordForm<Plunge> AS_PLANNED =
      new RecordForm<>("") {
        @Override
        protected Plunge of(Values v) {
          return new Plunge.AsPlanned();
        }
      };

  private static final RecordForm<Plunge> TO_DEPTH =
      new RecordForm<>("") {
        private final Field<Double> depthMm =
            field("depthMm", Forms.number(Quantity.DEPTH_STOP), p -> ((Plunge.ToDepth) p).mm());

        @Override
        protected Plunge of(Values v) {
          return new Plunge.ToDepth(v.of(depthMm));
        }
      };

  private static final RecordForm<Plunge> UNTIL_CLEAN =
      new RecordForm<>("") {
        private final Field<Double> extraMm =
            field(
                "extraMm",
                Forms.number(Quantity.PAST_CLEAN_UP),
                p -> ((Plunge.UntilClean) p).extraMm());
        private final Field<Boolean> allCuts =
            field("allCuts", Forms.FLAG, p -> ((Plunge.UntilClean) p).allCuts());

        @Override
        protected Plunge of(Values v) {
          return new Plunge.UntilClean(v.of(extraMm), v.of(allCuts));
        }
      };

  private static final Form<Plunge> PLUNGE =
      UnionForm.tagged(
          "plunge",
          "to",
          List.of(
              new Case<>("planned", AS_PLANNED, p -> p instanceof Plunge.AsPlanned),
              new Case<>("depth", TO_DEPTH, p -> p instanceof Plunge.ToDepth),
              new Case<>("clean", UNTIL_CLEAN, p -> p instanceof Plunge.UntilClean)));

  /** One kind of operation, by its settings: read all of them, then built whole. */
  private static final class KindForm extends RecordForm<Operation> {
    private final Operation usual;
    private final Map<String, Field<Double>> numbers = new HashMap<>();
    private final Map<String, Field<OptionalDouble>> open = new HashMap<>();
    private final Map<String, Field<Coded>> choices = new HashMap<>();
    private final Map<String, Field<String>> texts = new HashMap<>();
    private final Map<String, Field<Plunge>> plunges = new HashMap<>();

    KindForm(Operation usual) {
      super("");
      this.usual = usual;
      usual.settings().forEach(this::declare);
    }

    private void declare(OperationSetting<?> setting) {
      switch (setting) {
        case OperationSetting.Number<?> number -> {
          Quantity quantity = number.setting().quantity();
          if (number.setting().empty() == Setting.Empty.NEVER) {
            numbers.put(
                number.id(),
                field(number.id(), Forms.number(quantity), o -> number.set(o).orElseThrow()));
          } else {
            open.put(number.id(), field(number.id(), Forms.figure(quantity), number::set));
          }
        }
        case OperationSetting.Choice<?, ?> choice -> {
          Coded[] values = choice.values().toArray(Coded[]::new);
          choices.put(
              choice.id(), field(choice.id(), Forms.oneOf(values, KindForm::key), choice::value));
        }
        case OperationSetting.Text<?> text ->
            texts.put(text.id(), field(text.id(), Forms.TEXT, text::value));
        case OperationSetting.Depth<?> depth ->
            plunges.put(depth.id(), field(depth.id(), PLUNGE, depth::value));
      }
    }

    /** The last part of a code is the name in files. */
    private static String key(Coded coded) {
      return coded.code().substring(coded.code().lastIndexOf('.') + 1);
    }

    @Override
    protected Operation of(Values v) {
      return usual.set(
          new SettingValues() {
            @Override
            public double number(String id) {
              return v.of(numbers.get(id));
            }

            @Override
            public OptionalDouble open(String id) {
              return v.of(KindForm.this.open.get(id));
            }

            @Override
            public <C> C choice(String id, Class<C> of) {
              return of.cast(v.of(choices.get(id)));
            }

            @Override
            public String typed(String id) {
              return v.of(texts.get(id));
            }

            @Override
            public Plunge plunge() {
              return v.of(plunges.get("plunge"));
            }
          });
    }
  }

  /** An operation. */
  static final UnionForm<Operation> OPERATION =
      UnionForm.tagged(
          "operation",
          "operation",
          Operation.kinds().stream()
              .map(k -> new Case<Operation>(k.key(), new KindForm(k), o -> o.key().equals(k.key())))
              .toList());

  /** An operation of a plan, with its lasting number among its settings. */
  static final Form<PlannedStep> STEP =
      new Form<>() {
        private static final String ID = "id";

        @Override
        public PlannedStep read(Node n) {
          return new PlannedStep(n.at(ID).whole(), OPERATION.read(n));
        }

        @Override
        public JsonNode write(PlannedStep step) {
          return OPERATION.write(step.operation()).put(ID, step.id());
        }

        @Override
        public ObjectNode schema(Definitions definitions) {
          ObjectNode id = Definitions.type("object");
          id.putArray("required").add(ID);
          id.putObject("properties").set(ID, Forms.WHOLE.schema(definitions));
          ObjectNode schema = Definitions.object();
          schema.putArray("allOf").add(OPERATION.schema(definitions)).add(id);
          return schema;
        }

        @Override
        public boolean knowsAll(JsonNode read) {
          return OPERATION.knowsAll(read, Set.of(ID));
        }

        @Override
        public void carry(JsonNode read, JsonNode written) {
          OPERATION.carry(read, written, Set.of(ID));
        }
      };
}
