package org.myrialith.web.demo;

import java.util.List;
import java.util.function.Supplier;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.web.store.Project;
import org.myrialith.web.store.Projects;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/** Puts the demo gadgets on an empty shelf, or takes them away and back. */
@Component
public class DemoShelf implements ApplicationRunner {
  private static final String SUMMARY = "Demo gadget";

  /** The last is the first on the shelf. */
  private static final List<Supplier<Gadget>> DEMO =
      List.of(
          DemoGadgets::quayClock,
          DemoGadgets::reefShelf,
          DemoGadgets::porchBuoy,
          DemoGadgets::mooringPost,
          DemoGadgets::ferryBoard,
          DemoGadgets::fogBell,
          DemoGadgets::berthLamps,
          DemoGadgets::pierWand,
          DemoGadgets::duneBadge,
          DemoGadgets::gullSign,
          DemoGadgets::skerryJar,
          DemoGadgets::ternClock,
          DemoGadgets::pilotDesk,
          DemoGadgets::tideLantern);

  private final Projects projects;
  private final boolean wanted;

  DemoShelf(Projects projects, @Value("${myrialith.demo}") boolean wanted) {
    this.projects = projects;
    this.wanted = wanted;
  }

  @Override
  public void run(ApplicationArguments args) {
    if (wanted && projects.count() == 0) {
      add();
    }
  }

  /** Puts all demo gadgets on the shelf. */
  public void add() {
    DEMO.forEach(one -> projects.create(one.get(), SUMMARY));
  }

  /** Deletes those that nobody has changed. */
  public void remove() {
    untouched().forEach(project -> projects.delete(project.getId()));
  }

  /** Whether some of them are there as they came. */
  public boolean onTheShelf() {
    return !untouched().isEmpty();
  }

  private List<Project> untouched() {
    return projects.withOneRevision(SUMMARY);
  }
}
