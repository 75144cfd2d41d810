package finebore.practice;

import finebore.code.Coded;
import finebore.code.Message;
import finebore.code.Term;
import finebore.finding.Basis;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.job.Overrule;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Something worth saying about a seat, a plan or a head.
 *
 * @param code what it is
 * @param seat label of the seat it is about; empty for the head as a whole
 * @param subject what of it
 * @param severity how grave
 * @param terms its figures, by the names the languages' files use
 * @param extent how bad it is, larger is worse: the measure an overrule is held to
 * @param basis where the judgement comes from
 * @param cure a change that mends it, when one can be worked out
 * @param overruled by whom it was accepted, where it was
 */
@RecordBuilder
public record Finding(
    FindingCode code,
    String seat,
    Subject subject,
    Severity severity,
    Map<String, Term> terms,
    double extent,
    Basis basis,
    Optional<Cure> cure,
    Optional<Overrule> overruled)
    implements FindingBuilder.With {

  public Finding {
    terms = Collections.unmodifiableMap(new TreeMap<>(terms));
  }

  /** A finding with no figures yet. */
  public static Finding of(
      FindingCode code, String seat, Subject subject, Severity severity, Basis basis) {
    return new Finding(
        code, seat, subject, severity, Map.of(), 1, basis, Optional.empty(), Optional.empty());
  }

  /** With one of its figures. */
  public Finding with(String name, Term term) {
    Map<String, Term> more = new TreeMap<>(terms);
    more.put(name, term);
    return withTerms(more);
  }

  public Finding with(String name, Coded coded) {
    return with(name, coded instanceof Message message ? Term.phrase(message) : Term.name(coded));
  }

  /** With how bad it is. */
  public Finding by(double howMuch) {
    return withExtent(howMuch);
  }

  public Finding curedBy(Optional<Cure> possible) {
    return withCure(possible);
  }

  /** Whether it keeps a plan from being marked ready. */
  public boolean blocks() {
    return overruled.isEmpty()
        && (severity == Severity.FAULT || code == FindingCode.READING_MISSING);
  }

  /** What is the matter, with its figures. */
  public Message what() {
    return new Message(code.code() + ".what", terms);
  }

  /** What it leads to. */
  public Message why() {
    return new Message(code.code() + ".why", terms);
  }
}
