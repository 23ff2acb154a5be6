package org.myrialith.web.power;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.finding.Quantity;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyTree;
import org.myrialith.power.TreePlan;
import org.myrialith.power.TreeState;

/**
 * A supply tree with everything at its most, drawn for SVG: sources at the left, what hangs on them
 * at the right.
 */
record TreePicture(double width, double height, List<Box> boxes, List<Branch> branches) {
  private static final double BOX_WIDTH = 176;
  private static final double BOX_HEIGHT = 62;
  private static final double STEP_X = 276;
  private static final double STEP_Y = 80;
  private static final int MOST_LETTERS = 20;

  /**
   * A node, or what hangs on one.
   *
   * @param lines below its name
   */
  record Box(double x, double y, String name, List<String> lines, boolean load) {}

  /**
   * From one to another.
   *
   * @param text above it, and below it
   */
  record Branch(String path, double textX, double textY, String amps, String watts) {}

  static TreePicture of(TreePlan plan) {
    Pen pen = new Pen(plan);
    pen.source(SupplyTree.SUPPLY, plan.supply());
    plan.tree().sources().forEach(source -> pen.source(source.name(), source));
    return new TreePicture(
        pen.deepest * STEP_X + BOX_WIDTH + 4, pen.row * STEP_Y, pen.boxes, pen.branches);
  }

  /** Mutable, draws one tree from the top down. */
  private static final class Pen {
    private final TreePlan plan;
    private final TreeState state;
    private final List<Box> boxes = new ArrayList<>();
    private final List<Branch> branches = new ArrayList<>();
    private int row;
    private int deepest;

    Pen(TreePlan plan) {
      this.plan = plan;
      this.state = plan.worst();
    }

    void source(String name, Supply supply) {
      TreeState.Node node = state.node(name);
      String ends =
          node.volts() > 0 ? Quantity.text(node.volts(), "V") + " left" : "can't carry it";
      node(
          name,
          cut(supply.name()),
          List.of(phrase("%s, %s", Quantity.text(supply.volts(), "V"), ends)),
          0);
    }

    private static String cut(String name) {
      return name.length() <= MOST_LETTERS ? name : name.substring(0, MOST_LETTERS - 1) + "…";
    }

    /** Draws a node at the row that is next, and what hangs on it below one another. */
    private double node(String name, String title, List<String> lines, int depth) {
      double y = row * STEP_Y;
      boxes.add(new Box(depth * STEP_X + 2, y + 4, title, lines, false));
      int first = row;
      deepest = Math.max(deepest, depth);
      plan.tree().converters().stream()
          .filter(c -> c.from().equals(name))
          .forEach(
              c -> {
                TreeState.Node there = state.node(c.name());
                branch(depth, y, row * STEP_Y, there.inAmps(), there.inVolts() * there.inAmps());
                node(
                    c.name(),
                    cut(c.name()),
                    List.of(
                        there.inVolts() <= 0
                            ? "gets nothing"
                            : phrase(
                                "%s, loses %s",
                                Quantity.text(there.volts(), "V"),
                                Quantity.text(there.lostWatts(), "W"))),
                    depth + 1);
              });
      double volts = state.node(name).volts();
      plan.loadsOn(name)
          .forEach(
              (what, amps) -> {
                branch(depth, y, row * STEP_Y, amps, amps * volts);
                deepest = Math.max(deepest, depth + 1);
                boxes.add(
                    new Box(
                        (depth + 1) * STEP_X + 2,
                        row * STEP_Y + 4,
                        cut(what),
                        List.of(Quantity.text(volts, "V")),
                        true));
                row++;
              });
      row = Math.max(row, first + 1);
      return y;
    }

    private void branch(int depth, double fromY, double toY, double amps, double watts) {
      double x = depth * STEP_X + BOX_WIDTH + 2;
      double to = (depth + 1) * STEP_X + 2;
      double knee = x + 14;
      double middle = BOX_HEIGHT / 2 + 4;
      branches.add(
          new Branch(
              phrase("M%.1f %.1fH%.1fV%.1fH%.1f", x, fromY + middle, knee, toY + middle, to),
              knee + 6,
              toY + middle - 6,
              Quantity.text(amps, "A"),
              Quantity.text(watts, "W")));
    }
  }
}
