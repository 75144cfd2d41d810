package finebore.formats;

import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.job.Overrule;
import java.util.Optional;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Accepted faults as JSON: which fault, of what, at which seat, to what extent, and why. */
final class OverruleJson {

  private OverruleJson() {}

  static Overrule read(Node n) {
    Node operation = n.at("operation");
    return new Overrule(
        n.at("finding").oneOf(FindingCode.values(), FindingCode::key),
        n.at("seat").text(),
        n.at("subject")
            .build(
                s ->
                    new Subject(
                        s.at("kind").oneOf(Subject.Kind.values(), Subject.Kind::key),
                        s.at("id").text())),
        n.at("extent").number(),
        operation.isAbsent() ? Optional.empty() : Optional.of(operation.build(OperationJson::read)),
        n.at("reason").text());
  }

  static ObjectNode write(Overrule overrule) {
    ObjectNode n = JsonNodeFactory.instance.objectNode();
    n.put("finding", overrule.code().key());
    n.put("seat", overrule.seat());
    n.putObject("subject")
        .put("kind", overrule.subject().kind().key())
        .put("id", overrule.subject().id());
    n.put("extent", overrule.extent());
    if (overrule.operation().isPresent()) {
      n.set("operation", OperationJson.write(overrule.operation().get()));
    } else {
      n.putNull("operation");
    }
    n.put("reason", overrule.reason());
    return n;
  }
}
