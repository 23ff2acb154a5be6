package org.myrialith.circuit.multiplex;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;

/** What circuits beside one that is scanned do to it. */
public record SharedPortFindings(List<CircuitPlan> plans) {
  public List<Finding> all() {
    List<Finding> all = new ArrayList<>();
    for (CircuitPlan plan : plans) {
      if (plan instanceof ScannedPlan scanned && plan.emitters() > 0) {
        if (!scanned.circuit().chained()) { // which sets single bits
          ports(scanned, all);
        }
        held(scanned, all);
      }
    }
    return all;
  }

  private List<CircuitPlan> others(ScannedPlan scanned) {
    return plans.stream().filter(p -> p != scanned && p.emitters() > 0).toList();
  }

  private static List<Character> portsOf(CircuitPlan plan) {
    return plan.circuit().pins().stream().map(pin -> pin.charAt(0)).distinct().toList();
  }

  /** The interrupt writes whole ports: what another line does to them at that moment is undone. */
  private void ports(ScannedPlan scanned, List<Finding> all) {
    List<Character> own = portsOf(scanned);
    for (CircuitPlan other : others(scanned)) {
      List<Character> both = portsOf(other).stream().filter(own::contains).toList();
      if (!both.isEmpty()) {
        all.add(
            Finding.of(
                    Step.CIRCUITS,
                    scanned.key("scan-port") + "-" + other.circuit().id(),
                    Verdict.TIGHT,
                    phrase(
                        "%s and %s share port %s: while one is sent, the rows of the other stand still.",
                        scanned.circuit().name(), other.circuit().name(), both.get(0)))
                .advising("Move one of them to pins of another port."));
      }
    }
  }

  /** While others are sent, interrupts are off. */
  private void held(ScannedPlan scanned, List<Finding> all) {
    double seconds = others(scanned).stream().mapToDouble(CircuitPlan::dataSeconds).sum();
    if (seconds > scanned.timing().unitSeconds()) {
      all.add(
          Finding.of(
                  Step.CIRCUITS,
                  scanned.key("scan-held"),
                  Verdict.TIGHT,
                  phrase(
                      "Each frame, one row stays on for %s while the other circuits are sent. The lowest bit is on for only %s, so brightness jumps visibly.",
                      Quantity.text(seconds, "s"),
                      Quantity.text(scanned.timing().unitSeconds(), "s")))
              .advising("Drive the others from a second controller, or use a driver chip."));
    }
  }
}
