package org.myrialith;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaMethodCall;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/** A package uses only packages on lower floors, and nothing of web, storage or clock. */
class FloorsTest {
  /** From the ground up; packages of one floor do not use each other. */
  private static final List<Set<String>> FLOORS =
      List.of(
          Set.of("finding"),
          Set.of("formats", "schema"),
          Set.of("parts", "colour", "text"),
          Set.of("brief", "layout", "input"),
          Set.of("layout.judge", "layout.place", "effects", "circuit.electrical"),
          Set.of("circuit"),
          Set.of("circuit.output", "voltagedrop"),
          Set.of(
              "circuit.pixel",
              "circuit.pin",
              "circuit.chip.register",
              "circuit.chip.expander",
              "circuit.chip.display",
              "circuit.multiplex",
              "frames"),
          Set.of("circuit.matrix", "circuit.charlieplex", "frames.edit", "frames.file"),
          Set.of("frames.flash", "circuit.choice", "cue", "flicker", "power"),
          Set.of("power.supply", "cue.table"),
          Set.of("cue.engine"),
          Set.of("cue.plan"),
          Set.of("firmware.target"),
          Set.of("firmware.pack", "firmware.effect", "firmware.line"),
          Set.of("firmware.scan"),
          Set.of("firmware.driver"),
          Set.of("firmware.player", "build"),
          Set.of("firmware.engine"),
          Set.of("firmware.export"),
          Set.of("firmware.plan"),
          Set.of("gadget.model"),
          Set.of("gadget.format"),
          Set.of("gadget.edit"),
          Set.of("gadget.plan"),
          Set.of("presets"),
          Set.of("demo"));

  private static final JavaClasses CORE =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          .importPackages("org.myrialith");

  @Test
  void packagesUseOnlyLowerFloors() {
    List<String> above = new ArrayList<>();
    for (int floor = FLOORS.size() - 1; floor >= 0; floor--) {
      FLOORS.get(floor).forEach(name -> above.add("org.myrialith." + name));
      for (String name : FLOORS.get(floor)) {
        String own = "org.myrialith." + name;
        List<String> others = above.stream().filter(other -> !other.equals(own)).toList();
        if (!others.isEmpty()) {
          noClasses()
              .that()
              .resideInAPackage(own)
              .should()
              .dependOnClassesThat()
              .resideInAnyPackage(others.toArray(String[]::new))
              .check(CORE);
        }
      }
    }
  }

  @Test
  void everyPackageHasAFloor() {
    Set<String> seen = new TreeSet<>();
    CORE.forEach(c -> seen.add(c.getPackageName().substring("org.myrialith.".length())));
    Set<String> known = new TreeSet<>();
    FLOORS.forEach(known::addAll);
    assertThat(seen).isEqualTo(known);
  }

  @Test
  void coreKnowsNoFrameworkDatabaseOrClock() {
    noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage(
            "org.springframework..", "jakarta..", "java.sql..", "java.net..", "java.time.chrono..")
        .check(CORE);
    noClasses().should().callMethod(System.class, "currentTimeMillis").check(CORE);
    noClasses().should().callMethod(System.class, "nanoTime").check(CORE);
    noClasses()
        .should()
        .callMethodWhere(
            DescribedPredicate.describe(
                "the clock, zone or locale of the machine",
                call ->
                    call.getTargetOwner().getPackageName().startsWith("java.time")
                            && Set.of("now", "systemDefault", "systemUTC", "systemDefaultZone")
                                .contains(call.getName())
                            && call.getTarget().getRawParameterTypes().isEmpty()
                        || call.getTargetOwner().getPackageName().equals("java.text")
                            && call.getName().startsWith("get")
                            && call.getName().endsWith("Instance")
                            && call.getTarget().getRawParameterTypes().stream()
                                .noneMatch(p -> p.isEquivalentTo(Locale.class))))
        .check(CORE);
    noClasses().should().callConstructor(java.util.Date.class).check(CORE);
  }

  /** The same output in Cairo and in Cologne: what is written names its locale. */
  @Test
  void nothingIsWrittenInTheLocaleOfTheMachine() {
    for (String method : List.of("formatted", "toLowerCase", "toUpperCase")) {
      noClasses().should().callMethodWhere(plainly(String.class, method)).check(CORE);
    }
    noClasses()
        .should()
        .callMethod(String.class, "format", String.class, Object[].class)
        .check(CORE);
    noClasses().should().callMethod(Locale.class, "getDefault").check(CORE);
  }

  private static DescribedPredicate<JavaMethodCall> plainly(Class<?> owner, String method) {
    return DescribedPredicate.describe(
        method + " without a locale",
        call ->
            call.getTargetOwner().isEquivalentTo(owner)
                && call.getName().equals(method)
                && call.getTarget().getRawParameterTypes().stream()
                    .noneMatch(p -> p.isEquivalentTo(Locale.class)));
  }
}
