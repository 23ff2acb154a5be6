package org.myrialith.gadget;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import org.myrialith.drive.Circuit;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Picture;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Group;
import org.myrialith.parts.EmitterClass;
import org.myrialith.parts.EmitterClasses;

/**
 * What holds the parts of a gadget together: everything that names a fixture or a class names one
 * that is there, once, and of a size that fits.
 *
 * @param fixtures of the gadget
 */
record Bonds(List<Fixture> fixtures) {
  /**
   * Holds the other parts against the fixtures.
   *
   * @throws InputException for the first one that does not fit
   */
  void hold(
      List<Circuit> circuits, List<Clip> clips, List<Group> groups, List<EmitterClass> emitters) {
    classes(emitters);
    fixturesFit();
    circuits(circuits);
    clips(clips);
    groups(groups);
  }

  private void classes(List<EmitterClass> emitters) {
    unique("emitters", emitters, EmitterClass::id);
    for (int i = 0; i < fixtures.size(); i++) {
      String id = fixtures.get(i).mount().emitter();
      if (emitters.stream().noneMatch(e -> e.id().equals(id)) && EmitterClasses.of(id).isEmpty()) {
        throw new InputException(
            "fixtures[" + i + "].emitter",
            id,
            "the id of a class that comes along or of one of this gadget");
      }
    }
  }

  private void groups(List<Group> groups) {
    unique("groups", groups, Group::id);
    for (int g = 0; g < groups.size(); g++) {
      List<Group.Member> members = groups.get(g).members();
      for (int m = 0; m < members.size(); m++) {
        Group.Member member = members.get(m);
        String at = "groups[" + g + "].members[" + m + "]";
        Fixture fixture =
            fixtures.stream().filter(f -> f.id().equals(member.fixture())).findFirst().orElse(null);
        if (fixture == null) {
          throw new InputException(
              at + ".fixture", member.fixture(), "the id of a fixture of this gadget");
        }
        Bounds.count(0, fixture.count() - 1).require(at + ".to", member.to());
      }
    }
  }

  private void fixturesFit() {
    unique("fixtures", fixtures, Fixture::id);
    if (fixtures.size() > Gadget.MOST_FIXTURES) {
      throw new InputException(
          "fixtures", fixtures.size() + " fixtures", "at most " + Gadget.MOST_FIXTURES);
    }
    int emitters = fixtures.stream().mapToInt(Fixture::count).sum();
    if (emitters > Gadget.MOST_EMITTERS) {
      throw new InputException(
          "fixtures",
          emitters + " emitters",
          "at most " + Gadget.MOST_EMITTERS + " emitters in a gadget");
    }
  }

  private void circuits(List<Circuit> circuits) {
    if (circuits.size() > 1) {
      throw new InputException(
          "circuits", circuits.size() + " circuits", "one data line in this version");
    }
    for (int c = 0; c < circuits.size(); c++) {
      for (String id : circuits.get(c).fixtures()) {
        if (fixtures.stream().noneMatch(f -> f.id().equals(id))) {
          throw new InputException(
              "circuits[" + c + "].fixtures", id, "the id of a fixture of this gadget");
        }
      }
    }
  }

  private void clips(List<Clip> clips) {
    unique("clips", clips, Clip::id);
    unique("clips", clips, Clip::fixture);
    for (int i = 0; i < clips.size(); i++) {
      Clip clip = clips.get(i);
      Fixture fixture =
          fixtures.stream().filter(f -> f.id().equals(clip.fixture())).findFirst().orElse(null);
      if (fixture == null) {
        throw new InputException(
            "clips[" + i + "].fixture", clip.fixture(), "the id of a fixture of this gadget");
      }
      Picture picture = clip.frames().get(0).picture();
      if (picture.columns() != fixture.seenColumns() || picture.rows() != fixture.seenRows()) {
        throw new InputException(
            "clips[" + i + "].frames",
            picture.columns() + " × " + picture.rows(),
            "the size of its fixture, " + fixture.seenColumns() + " × " + fixture.seenRows());
      }
    }
  }

  private static <T> void unique(String field, List<T> all, Function<T, String> key) {
    Set<String> seen = new HashSet<>();
    for (int i = 0; i < all.size(); i++) {
      if (!seen.add(key.apply(all.get(i)))) {
        throw new InputException(
            field + "[" + i + "]", key.apply(all.get(i)), "each id and each fixture once");
      }
    }
  }
}
