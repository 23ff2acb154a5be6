package org.myrialith.circuit.choice;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitStart;
import org.myrialith.circuit.charlieplex.Charlieplex;

/** The list of the kinds of circuit has all that there are, and each can be begun with. */
class CircuitKindsTest {
  private static Set<String> allOf(Class<?> type) {
    return new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("org.myrialith")
            .stream()
            .filter(c -> c.isAssignableTo(type) && !c.isInterface())
            .filter(c -> !c.getModifiers().contains(JavaModifier.ABSTRACT))
            .map(JavaClass::getName)
            .collect(Collectors.toSet());
  }

  @Test
  void noKindIsForgotten() {
    assertThat(CircuitKinds.ALL.kinds())
        .extracting(kind -> kind.usual().getClass().getName())
        .containsExactlyInAnyOrderElementsOf(allOf(Circuit.class));
  }

  @Test
  void eachCanBeBegunWithUnderAKeyOfItsOwn() {
    assertThat(CircuitKinds.STARTS).extracting(CircuitStart::key).doesNotHaveDuplicates();
    assertThat(CircuitKinds.STARTS)
        .extracting(start -> start.usual().apply("c1").getClass().getName())
        .containsAll(allOf(Circuit.class));
  }

  @Test
  void aStartIsFoundByItsKeyOnly() {
    assertThat(CircuitKinds.start("charlieplex")).contains(Charlieplex.START);
    assertThat(List.of("", "Charlieplex", "none")).allMatch(k -> CircuitKinds.start(k).isEmpty());
  }
}
