package org.myrialith.tool;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
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
}
