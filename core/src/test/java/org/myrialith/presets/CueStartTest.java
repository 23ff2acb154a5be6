package org.myrialith.presets;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Machines to begin with are found by their keys and say what they want. */
class CueStartTest {
  @ParameterizedTest
  @EnumSource
  void eachIsFoundByItsKeyAlone(CueStart start) {
    assertThat(CueStart.of(start.key())).contains(start);
    assertThat(CueStart.of(start.key().toUpperCase(Locale.ROOT))).isEmpty();
    assertThat(start.what()).endsWith(".");
  }

  @Test
  void namesTellThemApart() {
    List<String> titles = Arrays.stream(CueStart.values()).map(CueStart::title).toList();
    assertThat(titles).doesNotHaveDuplicates();
    assertThat(CueStart.of("")).isEmpty();
  }
}
