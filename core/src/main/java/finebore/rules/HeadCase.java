package finebore.rules;

import finebore.finding.Basis;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.job.Job;
import finebore.practice.Finding;
import finebore.practice.Practice;

/**
 * What was read of a head, held against a practice.
 *
 * @param job whose
 * @param practice whose ranges count
 */
record HeadCase(Job job, Practice practice) {

  Finding finding(FindingCode code, String seat, Subject subject, Severity severity) {
    return Finding.of(code, seat, subject, severity, Basis.READINGS);
  }
}
