package org.myrialith.web.power;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.finding.Quantity;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyTree;
import org.myrialith.power.supply.TreePlan;
import org.myrialith.power.supply.TreeState;

/**
 * A supply tree with everything at its most, drawn for SVG from the top down: what is fed stands
 * below what feeds it, farther in. Values stand in columns, where they meet nothing at any depth.
 *
 * @param height of the drawing
 */
record TreePicture(double height, List<Row> rows) {
  private static final double HEAD = 30;
  private static final double STEP = 40;
  private static final double LEFT = 6;
  private static final double INDENT = 30;
  private static final int MOST_DEPTH = 9;
  private static final int MOST_LETTERS = 26;

  /**
   * A node, or what hangs on one.
   *
   * @param middle of the row
   * @param branch from what feeds it, empty for a source
   * @param load whether it only draws
   */
  record Row(
      double x,
      double middle,
      String name,
      String branch,
      boolean load,
      String takes,
      String watts,
      String has,
      String loses) {}

  static TreePicture of(TreePlan plan) {
    Pen pen = new Pen(plan);
    pen.source(SupplyTree.SUPPLY, plan.supply());
    plan.tree().sources().forEach(source -> pen.source(source.name(), source));
    return new TreePicture(HEAD + pen.rows.size() * STEP, pen.rows);
  }

  /** Mutable, draws one tree from the top down. */
  private static final class Pen {
    private final TreePlan plan;
    private final TreeState state;
    private final List<Row> rows = new ArrayList<>();

    Pen(TreePlan plan) {
      this.plan = plan;
      this.state = plan.worst();
    }

    private double middle() {
      return HEAD + rows.size() * STEP + STEP / 2;
    }

    private static double x(int depth) {
      return LEFT + Math.min(MOST_DEPTH, depth) * INDENT;
    }

    private static String cut(String name) {
      return name.length() <= MOST_LETTERS ? name : name.substring(0, MOST_LETTERS - 1) + "…";
    }

    void source(String name, Supply supply) {
      TreeState.Node node = state.node(name);
      boolean carries = node.volts() > 0;
      double middle = middle();
      rows.add(
          new Row(
              x(0),
              middle,
              cut(supply.name()),
              "",
              false,
              carries ? Quantity.text(node.amps(), "A") : "too much",
              carries ? Quantity.text(node.inVolts() * node.amps(), "W") : "",
              carries ? Quantity.text(node.volts(), "V") : "collapses",
              carries ? Quantity.text(node.lostWatts(), "W") : ""));
      behind(name, 0, middle, carries);
    }

    private void behind(String name, int depth, double from, boolean carries) {
      plan.tree().converters().stream()
          .filter(c -> c.from().equals(name))
          .forEach(
              c -> {
                TreeState.Node there = state.node(c.name());
                double middle = middle();
                rows.add(
                    new Row(
                        x(depth + 1),
                        middle,
                        cut(c.name()),
                        branch(depth, from, middle),
                        false,
                        carries ? Quantity.text(there.inAmps(), "A") : "",
                        carries ? Quantity.text(there.inVolts() * there.inAmps(), "W") : "",
                        carries ? Quantity.text(there.volts(), "V") : "",
                        carries ? Quantity.text(there.lostWatts(), "W") : ""));
                behind(c.name(), depth + 1, middle, carries);
              });
      double volts = state.node(name).volts();
      plan.loadsOn(name)
          .forEach(
              (what, amps) -> {
                double middle = middle();
                rows.add(
                    new Row(
                        x(depth + 1),
                        middle,
                        cut(what),
                        branch(depth, from, middle),
                        true,
                        Quantity.text(amps, "A"),
                        carries ? Quantity.text(amps * volts, "W") : "",
                        "",
                        ""));
              });
    }

    private static String branch(int depth, double from, double to) {
      double x = x(depth) + INDENT / 2;
      return phrase("M%.1f %.1fV%.1fH%.1f", x, from + 14, to, x(depth + 1));
    }
  }
}
