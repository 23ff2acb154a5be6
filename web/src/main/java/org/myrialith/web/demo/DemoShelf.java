package org.myrialith.web.demo;

import org.myrialith.demo.DemoGadgets;
import org.myrialith.web.store.Projects;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/** Puts the demo gadgets on an empty shelf. */
@Component
class DemoShelf implements ApplicationRunner {
  private final Projects projects;
  private final boolean wanted;

  DemoShelf(Projects projects, @Value("${myrialith.demo}") boolean wanted) {
    this.projects = projects;
    this.wanted = wanted;
  }

  @Override
  public void run(ApplicationArguments args) {
    if (wanted && projects.count() == 0) {
      projects.create(DemoGadgets.quayClock(), "Demo gadget");
      projects.create(DemoGadgets.reefShelf(), "Demo gadget");
      projects.create(DemoGadgets.porchBuoy(), "Demo gadget");
      projects.create(DemoGadgets.mooringPost(), "Demo gadget");
      projects.create(DemoGadgets.ferryBoard(), "Demo gadget");
      projects.create(DemoGadgets.fogBell(), "Demo gadget");
      projects.create(DemoGadgets.berthLamps(), "Demo gadget");
      projects.create(DemoGadgets.pierWand(), "Demo gadget");
      projects.create(DemoGadgets.duneBadge(), "Demo gadget");
      projects.create(DemoGadgets.gullSign(), "Demo gadget");
      projects.create(DemoGadgets.skerryJar(), "Demo gadget");
      projects.create(DemoGadgets.ternClock(), "Demo gadget");
      projects.create(DemoGadgets.pilotDesk(), "Demo gadget");
      projects.create(DemoGadgets.tideLantern(), "Demo gadget");
    }
  }
}
