package org.myrialith.layout;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.parts.EmitterClass;
import org.myrialith.parts.EmitterClasses;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;

/**
 * What lights up and where. Immutable; everything in it that names a fixture or a class names one
 * that is there, once.
 *
 * @param fixtures in the order they were added
 * @param groups of emitters across fixtures
 * @param emitters classes of emitters with data of the maker's own; those that come along need not
 *     be named
 * @param site where it is looked at from and what it is built with
 */
public record Layout(
    List<Fixture> fixtures, List<Group> groups, List<EmitterClass> emitters, Site site) {
  /** Most emitters of a gadget. */
  public static final int MOST_EMITTERS = 10_000;

  /** Most fixtures of a gadget. */
  public static final int MOST_FIXTURES = 64;

  /** Most classes of emitters of a gadget's own. */
  public static final int MOST_CLASSES = 64;

  /** Nothing yet. */
  public static final Layout EMPTY = new Layout(List.of(), List.of(), List.of(), Site.USUAL);

  /** How it stands in the format. */
  public static final Description<Layout> DESCRIPTION =
      Description.of(
          Layout.class,
          Field.rows("fixtures", "Fixtures", Fixture.DESCRIPTION, 0, MOST_FIXTURES).or(List.of()),
          Field.rows("groups", "Groups", Group.DESCRIPTION, 0, Group.MOST_GROUPS).or(List.of()),
          Field.rows("emitters", "Classes", EmitterClass.DESCRIPTION, 0, MOST_CLASSES)
              .or(List.of()),
          Field.of("site", "Site", Site.DESCRIPTION).or(Site.USUAL));

  public Layout {
    fixtures = List.copyOf(fixtures);
    groups = List.copyOf(groups);
    emitters = List.copyOf(emitters);
    Objects.requireNonNull(site, "site");
    requireFixtures(fixtures);
    requireClasses(fixtures, emitters);
    requireGroups(fixtures, groups);
  }

  private static void requireFixtures(List<Fixture> fixtures) {
    requireUnique("fixtures", fixtures, Fixture::id);
    if (fixtures.size() > MOST_FIXTURES) {
      throw new InputException(
          "fixtures", fixtures.size() + " fixtures", "at most " + MOST_FIXTURES);
    }
    int count = fixtures.stream().mapToInt(Fixture::count).sum();
    if (count > MOST_EMITTERS) {
      throw new InputException(
          "fixtures", count + " emitters", "at most " + MOST_EMITTERS + " emitters in a gadget");
    }
  }

  private static void requireClasses(List<Fixture> fixtures, List<EmitterClass> emitters) {
    requireUnique("emitters", emitters, EmitterClass::id);
    Set<String> known = emitters.stream().map(EmitterClass::id).collect(Collectors.toSet());
    for (int i = 0; i < fixtures.size(); i++) {
      String id = fixtures.get(i).mount().emitter();
      if (!known.contains(id) && EmitterClasses.of(id).isEmpty()) {
        throw new InputException(
            "fixtures[" + i + "].emitter",
            id,
            "the id of a class of this gadget, or one of " + EmitterClasses.ids());
      }
    }
  }

  private static void requireGroups(List<Fixture> fixtures, List<Group> groups) {
    requireUnique("groups", groups, Group::id);
    Map<String, Fixture> byId = new HashMap<>();
    fixtures.forEach(f -> byId.put(f.id(), f));
    for (int g = 0; g < groups.size(); g++) {
      List<Group.Member> members = groups.get(g).members();
      for (int m = 0; m < members.size(); m++) {
        String at = phrase("groups[%d].members[%d]", g, m);
        Fixture fixture = byId.get(members.get(m).fixture());
        if (fixture == null) {
          throw new InputException(
              at + ".fixture", members.get(m).fixture(), "the id of a fixture of this gadget");
        }
        Bounds.count(0, fixture.count() - 1).require(at + ".to", members.get(m).to());
      }
    }
  }

  /**
   * Checks that no two of a list have the same key.
   *
   * @throws InputException for the second of the first two that have
   */
  public static <T> void requireUnique(String field, List<T> all, Function<T, String> key) {
    Set<String> seen = new HashSet<>();
    for (int i = 0; i < all.size(); i++) {
      if (!seen.add(key.apply(all.get(i)))) {
        throw new InputException(
            field + "[" + i + "]", key.apply(all.get(i)), "each id and each fixture once");
      }
    }
  }

  /**
   * Checks that fixtures are there.
   *
   * @param list where their identifiers stand
   * @throws InputException for the first that is not
   */
  public void requireFixtures(String list, List<String> ids) {
    for (int i = 0; i < ids.size(); i++) {
      if (fixture(ids.get(i)).isEmpty()) {
        throw new InputException(
            list + "[" + i + "].fixture", ids.get(i), "the id of a fixture of this gadget");
      }
    }
  }

  /** Returns the fixture of that identifier. */
  public Optional<Fixture> fixture(String id) {
    return fixtures.stream().filter(f -> f.id().equals(id)).findFirst();
  }

  /**
   * Returns the class of a fixture's emitters: the gadget's own goes before one that comes along.
   */
  public EmitterClass emitterOf(Fixture fixture) {
    String id = fixture.mount().emitter();
    return ownClass(id).or(() -> EmitterClasses.of(id)).orElseThrow();
  }

  /** Returns the gadget's own class of that identifier. */
  public Optional<EmitterClass> ownClass(String id) {
    return emitters.stream().filter(e -> e.id().equals(id)).findFirst();
  }

  /** Returns the layout with other fixtures; what is left of the groups stays. */
  public Layout withFixtures(List<Fixture> other) {
    List<Group> left = groups.stream().flatMap(g -> within(g, other).stream()).toList();
    return new Layout(other, left, emitters, site);
  }

  /** What is left of a group when fixtures went or shrank; nothing when no member is left. */
  private static Optional<Group> within(Group group, List<Fixture> fixtures) {
    List<Group.Member> left = new ArrayList<>();
    for (Group.Member member : group.members()) {
      fixtures.stream()
          .filter(f -> f.id().equals(member.fixture()) && member.from() < f.count())
          .findFirst()
          .ifPresent(
              f ->
                  left.add(
                      new Group.Member(
                          f.id(), member.from(), Math.min(member.to(), f.count() - 1))));
    }
    return left.isEmpty()
        ? Optional.empty()
        : Optional.of(new Group(group.id(), group.name(), left));
  }

  /** Returns the layout with another site. */
  public Layout withSite(Site other) {
    return new Layout(fixtures, groups, emitters, other);
  }

  /** Returns the layout with other groups. */
  public Layout withGroups(List<Group> other) {
    return new Layout(fixtures, other, emitters, site);
  }

  /** Returns the layout with other classes of its own. */
  public Layout withEmitters(List<EmitterClass> other) {
    return new Layout(fixtures, groups, other, site);
  }
}
