package org.myrialith.tool;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Runs a circuit simulator on a netlist and reads what it measured. */
public final class CircuitSimulator {
  private CircuitSimulator() {}

  /**
   * Returns a figure that the netlist prints as {@code name = value}.
   *
   * @param netlist its first line is a title
   */
  public static double figure(Path folder, String netlist, String name) throws IOException {
    Files.writeString(folder.resolve("net.cir"), netlist);
    String text = OutsideTool.run(folder, "ngspice", "-b", "net.cir").text();
    Matcher found =
        Pattern.compile("(?mi)^\\s*" + Pattern.quote(name) + "\\s*=\\s*([-+.\\deE]+)")
            .matcher(text);
    if (!found.find()) {
      throw new AssertionError("no " + name + " in " + text);
    }
    return Double.parseDouble(found.group(1));
  }

  /**
   * Returns figures of the operating point of a netlist, to nine places.
   *
   * @param netlist without its end; its first line is a title
   * @param figures such as "v(a,b)"
   */
  public static Map<String, Double> figures(Path folder, String netlist, List<String> figures)
      throws IOException {
    StringBuilder text = new StringBuilder(netlist);
    text.append(".control\nset numdgt=10\nop\n");
    figures.forEach(figure -> text.append("print ").append(figure).append('\n'));
    text.append(".endc\n.end\n");
    Files.writeString(folder.resolve("net.cir"), text);
    String printed = OutsideTool.run(folder, "ngspice", "-b", "net.cir").text();
    Map<String, Double> found = new HashMap<>();
    for (String figure : figures) {
      Matcher line =
          Pattern.compile("(?mi)^\\s*" + Pattern.quote(figure) + "\\s*=\\s*([-+.\\deE]+)")
              .matcher(printed);
      if (!line.find()) {
        throw new AssertionError("no " + figure + " in " + printed);
      }
      found.put(figure, Double.parseDouble(line.group(1)));
    }
    return found;
  }
}
