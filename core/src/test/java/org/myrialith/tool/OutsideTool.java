package org.myrialith.tool;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** Runs a general-purpose tool that results are held against. A missing tool fails the test. */
public final class OutsideTool {
  private static final int SECONDS = 400;

  private OutsideTool() {}

  /** What a tool printed. */
  public record Output(int exit, byte[] bytes, String errors) {
    public String text() {
      return new String(bytes, StandardCharsets.UTF_8);
    }
  }

  /** Runs a command to its end, whatever its exit code. */
  public static Output run(Path folder, String... command) {
    try {
      Path errors = Files.createTempFile(folder, "errors", ".txt");
      Process process =
          new ProcessBuilder(command)
              .directory(folder.toFile())
              .redirectError(errors.toFile())
              .start();
      process.getOutputStream().close();
      byte[] bytes = process.getInputStream().readAllBytes();
      if (!process.waitFor(SECONDS, TimeUnit.SECONDS)) {
        process.destroyForcibly();
        throw new AssertionError(List.of(command) + " did not end within " + SECONDS + " s");
      }
      return new Output(process.exitValue(), bytes, Files.readString(errors));
    } catch (IOException e) {
      throw new UncheckedIOException("can't run " + command[0] + ": is it installed?", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new AssertionError(e);
    }
  }

  /** Runs a command that must end well and without a word of complaint. */
  public static Output runClean(Path folder, String... command) {
    Output output = run(folder, command);
    assertThat(output.errors()).as("complaints of %s", List.of(command)).isEmpty();
    assertThat(output.exit()).as("exit of %s", List.of(command)).isZero();
    return output;
  }
}
