package org.myrialith.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.presets.CueStart;
import org.myrialith.tool.Gadgets;
import org.myrialith.web.store.NotThereException;
import org.myrialith.web.store.Project;
import org.myrialith.web.store.Projects;
import org.springframework.jdbc.core.JdbcTemplate;

/** The store against a real database. */
@ExtendWith(RunningApplication.Extension.class)
class ProjectsTest {
  private final Projects projects;
  private final JdbcTemplate jdbc;

  ProjectsTest(RunningApplication application) {
    this.projects = application.bean(Projects.class);
    this.jdbc = application.bean(JdbcTemplate.class);
  }

  private int named(UUID id, int base, String title) {
    return ((Projects.Outcome.Saved)
            projects.edit(id, base, "Named", g -> Gadgets.named(g, title, "")))
        .revision();
  }

  private String title(UUID id) {
    return projects.open(id).plan().gadget().title();
  }

  @Test
  void undoAndRedoWalkTheLineAndANewEditStartsABranch() {
    UUID id = projects.create(DemoGadgets.porchBuoy(), "Start");
    named(id, 1, "A");
    named(id, 2, "B");
    named(id, 3, "C");
    assertThat(projects.open(id).redoes()).isEmpty();
    projects.undo(id, 4);
    projects.undo(id, 3);
    assertThat(title(id)).isEqualTo("A");
    projects.redo(id, 2);
    assertThat(title(id)).isEqualTo("B");
    projects.undo(id, 3);
    int branch = named(id, 2, "D");
    assertThat(projects.open(id).redoes()).isEmpty();
    projects.undo(id, branch);
    projects.redo(id, 2);
    assertThat(title(id)).as("redo goes to the newest").isEqualTo("D");
    projects.undo(id, branch);
    projects.undo(id, 2);
    assertThat(projects.open(id).undoes()).isEmpty();
    projects.undo(id, 1);
    assertThat(title(id)).isEqualTo("Porch buoy");
  }

  @Test
  void anEditOfAnOldRevisionIsKeptBesideAndCanBeTaken() {
    UUID id = projects.create(DemoGadgets.porchBuoy(), "Start");
    named(id, 1, "Theirs");
    Projects.Outcome late = projects.edit(id, 1, "Named", g -> Gadgets.named(g, "Mine", ""));
    assertThat(late).isEqualTo(new Projects.Outcome.Late(2, 3));
    assertThat(title(id)).isEqualTo("Theirs");
    projects.undo(id, 2);
    projects.redo(id, 1);
    assertThat(title(id)).as("redo passes what lies beside").isEqualTo("Theirs");
    projects.take(id, 2, 3);
    assertThat(title(id)).isEqualTo("Mine");
    projects.undo(id, projects.open(id).revision());
    assertThat(title(id)).isEqualTo("Theirs");
    assertThat(projects.undo(id, 1))
        .as("undo of a revision that is not the head")
        .isInstanceOf(Projects.Outcome.Late.class);
  }

  @Test
  void ofManyEditsAtOnceOneIsTheHeadAndNoneIsLost() throws Exception {
    UUID id = projects.create(DemoGadgets.porchBuoy(), "Start");
    int many = 6;
    CyclicBarrier together = new CyclicBarrier(many);
    ExecutorService pool = Executors.newFixedThreadPool(many);
    List<Future<Projects.Outcome>> outcomes = new ArrayList<>();
    for (int i = 0; i < many; i++) {
      String title = "Edit " + i;
      Callable<Projects.Outcome> edit =
          () -> {
            together.await();
            return projects.edit(id, 1, "Named", g -> Gadgets.named(g, title, ""));
          };
      outcomes.add(pool.submit(edit));
    }
    List<Integer> kept = new ArrayList<>();
    int saved = 0;
    for (Future<Projects.Outcome> outcome : outcomes) {
      if (outcome.get() instanceof Projects.Outcome.Late late) {
        kept.add(late.kept());
      } else {
        saved++;
      }
    }
    pool.shutdown();
    assertThat(saved).isEqualTo(1);
    assertThat(kept).hasSize(many - 1).doesNotHaveDuplicates();
    assertThat(kept)
        .allSatisfy(n -> assertThat(projects.plan(id, n).gadget().title()).startsWith("Edit"));
  }

  @Test
  void aRefusedEditChangesNothing() {
    UUID id = projects.create(DemoGadgets.porchBuoy(), "Start");
    assertThatThrownBy(() -> projects.edit(id, 1, "Named", g -> Gadgets.named(g, "", "")))
        .isInstanceOf(InputException.class);
    assertThat(projects.open(id).revision()).isEqualTo(1);
    assertThatThrownBy(() -> projects.edit(id, 99, "Named", g -> g))
        .isInstanceOf(NotThereException.class);
    assertThat(projects.edit(id, 1, "Nothing", g -> g))
        .as("no change is no revision")
        .isEqualTo(new Projects.Outcome.Saved(1));
  }

  @Test
  void picturesAreStoredOnceAndSweptWithTheirLastGadget() {
    Gadget lantern = Gadgets.named(DemoGadgets.tideLantern(), "Swept", "");
    UUID one = projects.create(lantern, "Start");
    UUID two = projects.create(lantern, "Start");
    String hash = GadgetJson.pictures(lantern).iterator().next().hash();
    assertThat(count(hash)).isEqualTo(1);
    projects.delete(one);
    projects.deleteForGood(one);
    assertThat(count(hash)).isEqualTo(1);
    assertThat(projects.picture(hash)).isPresent();
    projects.delete(two);
    assertThatThrownBy(() -> projects.open(two)).isInstanceOf(NotThereException.class);
    Integer orphans =
        jdbc.queryForObject(
            "select count(*) from picture where hash not in (select jsonb_path_query(gadget, '$.**.picture') #>> '{}' from revision)",
            Integer.class);
    assertThat(orphans).isZero();
  }

  /** Pictures of scenes that are not on the easel are kept like the others. */
  @Test
  void picturesOfScenesOutliveAnotherGadgetThatHasThem() {
    Gadget lantern = Gadgets.named(DemoGadgets.tideLantern(), "Scenes", "");
    Gadget mood = CueStart.MOOD.on(lantern, lantern.fixtures().get(0));
    UUID one = projects.create(mood, "Start");
    UUID two = projects.create(mood, "Start");
    projects.delete(one);
    projects.deleteForGood(one);
    assertThat(projects.open(two).plan().gadget()).isEqualTo(mood);
    for (Picture picture : GadgetJson.pictures(mood)) {
      assertThat(count(picture.hash())).isEqualTo(1);
    }
  }

  private int count(String hash) {
    return jdbc.queryForObject("select count(*) from picture where hash = ?", Integer.class, hash);
  }

  /** The database itself refuses a half-written project. */
  @Test
  void whatFailsHalfWayLeavesNothing() {
    long before = projects.count();
    Gadget gadget = DemoGadgets.porchBuoy();
    UUID id = projects.create(gadget, "Start");
    assertThatThrownBy(
            () ->
                projects.edit(
                    id,
                    1,
                    "Fails",
                    g -> {
                      throw new IllegalStateException("in the middle");
                    }))
        .isInstanceOf(IllegalStateException.class);
    assertThat(projects.open(id).revision()).isEqualTo(1);
    assertThat(projects.history(id)).hasSize(1);
    projects.delete(id);
    projects.deleteForGood(id);
    assertThat(projects.count()).isEqualTo(before);
  }

  @Test
  void theDrawerKeepsForAMonthAndNothingInItIsReached() {
    UUID late = projects.create(DemoGadgets.porchBuoy(), "Start");
    UUID early = projects.create(DemoGadgets.porchBuoy(), "Start");
    for (UUID id : List.of(late, early)) {
      projects.delete(id);
      assertThatThrownBy(() -> projects.open(id)).isInstanceOf(NotThereException.class);
      assertThatThrownBy(() -> projects.plan(id, 1)).isInstanceOf(NotThereException.class);
      assertThatThrownBy(() -> projects.edit(id, 1, "x", g -> g))
          .isInstanceOf(NotThereException.class);
      assertThatThrownBy(() -> projects.delete(id)).isInstanceOf(NotThereException.class);
    }
    jdbc.update(
        "update project set deleted_at = now() - interval '29 days 23 hours' where id = ?", late);
    jdbc.update(
        "update project set deleted_at = now() - interval '30 days 1 hour' where id = ?", early);
    assertThat(projects.drawer()).extracting(Project::getId).contains(late).doesNotContain(early);
    assertThatThrownBy(() -> projects.bringBack(early)).isInstanceOf(NotThereException.class);
    projects.bringBack(late);
    assertThat(projects.open(late).revision()).isEqualTo(1);
    assertThatThrownBy(() -> projects.deleteForGood(late)).isInstanceOf(NotThereException.class);
  }
}
