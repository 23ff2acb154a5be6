package org.myrialith.web.store;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.edit.Merge;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Opens, edits, undoes and compares projects. Holds no state but caches of what never changes. */
@Service
public class Projects {
  /** Weight of plans kept in memory: a fifth of the heap. */
  private static final long KEPT_BYTES = Runtime.getRuntime().maxMemory() / 5;

  /** Days that a deleted project can be brought back. */
  public static final int KEPT_DAYS = 30;

  /** Cells of all frames from which on a gadget is large. */
  private static final long LARGE_CELLS = 150_000;

  private static final Logger LOG = LoggerFactory.getLogger(Projects.class);

  private static final Pattern PICTURE_HASH =
      Pattern.compile("\"picture\"\\s*:\\s*\"([0-9a-f]{64})\"");

  private final ProjectTable projects;
  private final RevisionTable revisions;
  private final PictureStore pictures;
  private final Clock clock;
  private final TransactionTemplate transaction;
  private final Cache<Revision.Key, GadgetPlan> plans =
      Caffeine.newBuilder().maximumWeight(KEPT_BYTES).weigher(Projects::weight).build();

  /** Gadgets whose plans take long. */
  private final Cache<UUID, Boolean> large = Caffeine.newBuilder().maximumSize(10_000).build();

  Projects(
      ProjectTable projects,
      RevisionTable revisions,
      PictureStore pictures,
      Clock clock,
      TransactionTemplate transaction) {
    this.projects = projects;
    this.revisions = revisions;
    this.pictures = pictures;
    this.clock = clock;
    this.transaction = transaction;
  }

  private static int weight(Revision.Key key, GadgetPlan plan) {
    return (int) Math.min(Integer.MAX_VALUE, plan.weightBytes());
  }

  /**
   * A project as a page shows it.
   *
   * @param revision that is shown
   * @param before the plan of the revision before, if there is one
   * @param undoes what was done last, if there is a way back
   * @param redoes what was undone last, if there is a way on
   */
  public record Opened(
      UUID id,
      int revision,
      int head,
      GadgetPlan plan,
      Optional<GadgetPlan> before,
      Optional<String> undoes,
      Optional<String> redoes) {}

  /** What became of an edit. */
  public sealed interface Outcome {
    /** The edit is the head now. */
    record Saved(int revision) implements Outcome {}

    /** Another edit came first; this one is kept beside the line. */
    record Late(int head, int kept) implements Outcome {}
  }

  /** Returns all projects, the latest first. */
  @Transactional(readOnly = true)
  public List<Project> shelf() {
    return projects.findTop200ByDeletedAtIsNullOrderByChangedAtDesc();
  }

  /** Returns projects of the shelf whose only revision has that summary. */
  @Transactional(readOnly = true)
  public List<Project> withOneRevision(String summary) {
    return projects.withOneRevision(summary);
  }

  /** Returns how many projects there are. */
  public long count() {
    return projects.count();
  }

  /** Makes a project and returns its identifier. */
  public UUID create(Gadget gadget, String summary) {
    GadgetPlan checked = checked(GadgetPlan.of(gadget)); // before anything of the database is held
    UUID id = UUID.randomUUID();
    transaction.executeWithoutResult(
        status -> {
          Project project = projects.saveAndFlush(new Project(id, gadget.title(), clock.instant()));
          pictures.keep(GadgetJson.pictures(gadget));
          int number = save(project, gadget, null, false, summary);
          project.standOn(number, gadget.title(), clock.instant());
          plans.put(new Revision.Key(id, number), checked);
        });
    weigh(id, gadget);
    return id;
  }

  /**
   * What is saved is read again by the same reader, and planned whole: nothing is acknowledged that
   * does not open.
   *
   * @throws InputException when it does not
   */
  private static GadgetPlan checked(GadgetPlan plan) {
    Gadget gadget = plan.gadget();
    Map<String, Picture> own = new HashMap<>();
    GadgetJson.pictures(gadget).forEach(picture -> own.put(picture.hash(), picture));
    GadgetJson.read(
        GadgetJson.writeWithoutPictures(gadget), hash -> Optional.ofNullable(own.get(hash)));
    try {
      plan.findings();
    } catch (IllegalArgumentException
        | IllegalStateException
        | ArithmeticException
        | IndexOutOfBoundsException
        | NullPointerException
        | NoSuchElementException e) {
      LOG.error("a change that was not saved, as its plan fails", e);
      throw new InputException(
          "gadget", gadget.title(), "one that can be planned: this is an error in Myrialith");
    }
    return plan;
  }

  private int save(Project project, Gadget gadget, Integer parent, boolean beside, String summary) {
    int number = project.nextNumber();
    Revision.Key key = new Revision.Key(project.getId(), number);
    revisions.save(
        new Revision(
            key,
            parent,
            beside,
            Summary.shortened(summary),
            clock.instant(),
            GadgetJson.writeWithoutPictures(gadget)));
    return number;
  }

  /**
   * Opens a project at its head.
   *
   * @throws NotThereException if there is no such project
   */
  @Transactional(readOnly = true)
  public Opened open(UUID id) {
    Project project = projects.findByIdAndDeletedAtIsNull(id).orElseThrow(NotThereException::new);
    return open(id, project.getHead(), project.getHead());
  }

  /**
   * Opens a project at some revision.
   *
   * @throws NotThereException if there is no such project or revision
   */
  @Transactional(readOnly = true)
  public Opened open(UUID id, int revision) {
    return open(
        id,
        revision,
        projects.findByIdAndDeletedAtIsNull(id).orElseThrow(NotThereException::new).getHead());
  }

  private Opened open(UUID id, int revision, int head) {
    RevisionTable.Origin origin =
        revisions.origin(id, revision).orElseThrow(NotThereException::new);
    Optional<Integer> parent = Optional.ofNullable(origin.getParent());
    return new Opened(
        id,
        revision,
        head,
        kept(new Revision.Key(id, revision)),
        parent.map(before -> kept(new Revision.Key(id, before))),
        parent.map(before -> origin.getSummary()),
        revisions.newestChild(id, revision).flatMap(child -> revisions.summary(id, child)));
  }

  /**
   * Returns the plan of a revision.
   *
   * @throws NotThereException if there is no such revision
   */
  @Transactional(readOnly = true)
  public GadgetPlan plan(UUID id, int revision) {
    Revision.Key key = new Revision.Key(id, revision);
    if (revisions.there(key) == 0) {
      plans.invalidate(key);
      throw new NotThereException();
    }
    return kept(key);
  }

  /**
   * Returns the plan of the head of a project that was just read: versions never change, so one
   * that is kept is not asked for again.
   *
   * @throws NotThereException if there is no such revision
   */
  public GadgetPlan plan(Project read) {
    return kept(new Revision.Key(read.getId(), read.getHead()));
  }

  /** The plan of a revision, without reading its gadget as long as that is kept. */
  private GadgetPlan kept(Revision.Key key) {
    GadgetPlan known = plans.getIfPresent(key);
    return known == null
        ? plan(revisions.findById(key).orElseThrow(NotThereException::new))
        : known;
  }

  /** Returns whether a gadget is known to be large: its frames have many cells. */
  public boolean large(UUID id) {
    return large.getIfPresent(id) != null;
  }

  private static long cells(Clip clip) {
    Picture first = clip.frames().get(0).picture();
    return (long) clip.frames().size() * first.columns() * first.rows();
  }

  private void weigh(UUID id, Gadget gadget) {
    long cells =
        Stream.concat(
                gadget.clips().stream(),
                gadget.cues().scenes().stream().flatMap(scene -> scene.clips().stream()))
            .mapToLong(Projects::cells)
            .sum();
    if (cells > LARGE_CELLS) {
      large.put(id, true);
    } else {
      large.invalidate(id);
    }
  }

  /** Returns whether the plan of a revision is worked out and kept. */
  public boolean known(UUID id, int revision) {
    return plans.getIfPresent(new Revision.Key(id, revision)) != null;
  }

  private GadgetPlan plan(Revision row) {
    Revision.Key key = row.key();
    GadgetPlan known = plans.getIfPresent(key);
    if (known == null) {
      known = GadgetPlan.of(read(row.getGadget()));
      weigh(key.projectId(), known.gadget());
      plans.put(key, known);
    }
    return known;
  }

  private Gadget read(String json) {
    List<String> hashes = new ArrayList<>();
    Matcher matcher = PICTURE_HASH.matcher(json);
    while (matcher.find()) {
      hashes.add(matcher.group(1));
    }
    Map<String, Picture> kept = new HashMap<>(pictures.find(hashes));
    return GadgetJson.read(json, hash -> Optional.ofNullable(kept.get(hash)));
  }

  /**
   * Edits a project: the edit is applied to the revision that the maker saw.
   *
   * @param base that revision
   * @throws NotThereException if there is no such project or revision
   * @throws org.myrialith.finding.InputException if the edit can't be taken; nothing was saved
   */
  public Outcome edit(UUID id, int base, String summary, UnaryOperator<Gadget> edit) {
    return edit(id, base, summary, edit, false);
  }

  /**
   * Edits in the same way; an edit that comes after another one is put together with it when they
   * touch different things.
   */
  public Outcome join(UUID id, int base, String summary, UnaryOperator<Gadget> edit) {
    return edit(id, base, summary, edit, true);
  }

  /**
   * So often an edit is put together with others that come meanwhile; then it stands beside them.
   */
  private static final int MOST_ATTEMPTS = 20;

  private Outcome edit(
      UUID id, int base, String summary, UnaryOperator<Gadget> edit, boolean joining) {
    // what takes long, such as decoding images, is done before anything is locked
    GadgetPlan before = plan(id, base);
    Gadget from = before.gadget();
    Gadget to = edit.apply(from);
    GadgetPlan checked = to.equals(from) ? before : checked(GadgetPlan.after(before, to));
    String said = Summary.of(summary, from, to);
    for (int attempt = 1; ; attempt++) {
      Optional<Joined> joined = joining ? joined(id, base, from, to, edit) : Optional.empty();
      boolean last = attempt == MOST_ATTEMPTS;
      Optional<Outcome> outcome =
          transaction.execute(
              status -> {
                pictures.keep(newPictures(from, to));
                Project project = projects.lock(id).orElseThrow(NotThereException::new);
                int head = project.getHead();
                boolean moved =
                    joining && head != base && joined.stream().noneMatch(j -> j.head == head);
                if (moved && !last) {
                  return Optional.empty(); // another edit came meanwhile: put together with it
                }
                return Optional.of(
                    joined
                        .filter(j -> j.head == head && j.plan.isPresent())
                        .map(j -> save(project, head, said, j.from, j.plan.orElseThrow()))
                        .orElseGet(() -> save(project, base, said, from, checked)));
              });
      if (outcome != null && outcome.isPresent()) {
        return outcome.get();
      }
    }
  }

  /**
   * An edit put together with a head that came before it; without a plan where both touch the same.
   */
  private record Joined(int head, Gadget from, Optional<GadgetPlan> plan) {}

  /** What takes long is done before the project is locked. */
  private Optional<Joined> joined(
      UUID id, int base, Gadget from, Gadget to, UnaryOperator<Gadget> edit) {
    int head =
        projects.findByIdAndDeletedAtIsNull(id).orElseThrow(NotThereException::new).getHead();
    if (head == base) {
      return Optional.empty();
    }
    GadgetPlan there = plan(id, head);
    Gadget theirs = there.gadget();
    return Optional.of(
        new Joined(
            head,
            theirs,
            Merge.of(from, theirs, to, edit)
                .map(merged -> checked(GadgetPlan.after(there, merged)))));
  }

  /** Pictures that the revision before has not; those that it has are kept already. */
  private static List<Picture> newPictures(Gadget from, Gadget to) {
    Set<String> there =
        GadgetJson.pictures(from).stream().map(Picture::hash).collect(Collectors.toSet());
    return GadgetJson.pictures(to).stream().filter(p -> !there.contains(p.hash())).toList();
  }

  private Outcome save(Project project, int base, String summary, Gadget from, GadgetPlan checked) {
    Gadget to = checked.gadget();
    if (to.equals(from) && project.getHead() == base) {
      return new Outcome.Saved(base);
    }
    boolean late = project.getHead() != base;
    int number = save(project, to, base, late, summary);
    plans.put(new Revision.Key(project.getId(), number), checked);
    if (late) {
      return new Outcome.Late(project.getHead(), number);
    }
    project.standOn(number, to.title(), clock.instant());
    return new Outcome.Saved(number);
  }

  /**
   * Goes back to the revision before; {@link Outcome.Late} with nothing kept when the head is
   * another by now.
   */
  @Transactional
  public Outcome undo(UUID id, int base) {
    return move(id, base, revisions.findById(new Revision.Key(id, base)).map(Revision::getParent));
  }

  /** Goes forward to the newest revision made from this one. */
  @Transactional
  public Outcome redo(UUID id, int base) {
    return move(id, base, revisions.newestChild(id, base));
  }

  private Outcome move(UUID id, int base, Optional<Integer> target) {
    Project project = projects.lock(id).orElseThrow(NotThereException::new);
    if (project.getHead() != base) {
      return new Outcome.Late(project.getHead(), 0);
    }
    target.ifPresent(
        number -> project.standOn(number, plan(id, number).gadget().title(), clock.instant()));
    return new Outcome.Saved(project.getHead());
  }

  /** Takes a revision that lies elsewhere as the new head, on top of the present one. */
  public Outcome take(UUID id, int base, int revision) {
    Gadget gadget = plan(id, revision).gadget();
    return edit(id, base, "Restored revision " + revision, present -> gadget);
  }

  /**
   * The head of a project whose head can't be opened.
   *
   * @param undoes what was done last; empty when there is no way back
   */
  public record Stuck(UUID id, int head, Optional<String> undoes) {}

  /** Returns the way back from the head of a project, without opening it. */
  @Transactional(readOnly = true)
  public Optional<Stuck> stuck(UUID id) {
    return projects
        .findByIdAndDeletedAtIsNull(id)
        .map(
            project ->
                new Stuck(
                    id,
                    project.getHead(),
                    revisions
                        .findById(new Revision.Key(id, project.getHead()))
                        .filter(row -> row.getParent() != null)
                        .map(Revision::getSummary)));
  }

  /** Returns the latest lines of a project's history, newest first. */
  @Transactional(readOnly = true)
  public List<RevisionLine> history(UUID id) {
    return revisions.history(id).stream()
        .map(
            l ->
                new RevisionLine(
                    l.getNumber(), l.getParent(), l.getBeside(), l.getSummary(), l.getCreatedAt()))
        .toList();
  }

  /** A line of the history. */
  public record RevisionLine(
      int number, Integer parent, boolean beside, String summary, Instant at) {}

  /** Returns a picture by its hash. */
  @Transactional(readOnly = true)
  public Optional<Picture> picture(String hash) {
    return pictures.find(hash);
  }

  /** Puts a project into the drawer, where it stays for {@link #KEPT_DAYS} days. */
  @Transactional
  public void delete(UUID id) {
    projects.lock(id).orElseThrow(NotThereException::new).delete(clock.instant());
  }

  /** Puts a project of the drawer back on the shelf. */
  @Transactional
  public void bringBack(UUID id) {
    projects.lockInDrawer(id).orElseThrow(NotThereException::new).bringBack();
  }

  /** Returns what lies in the drawer, the latest first; what has lain its time is gone. */
  public List<Project> drawer() {
    projects
        .findTop20ByDeletedAtBefore(clock.instant().minus(KEPT_DAYS, ChronoUnit.DAYS))
        .forEach(project -> deleteForGood(project.getId()));
    return projects.findTop200ByDeletedAtIsNotNullOrderByDeletedAtDesc();
  }

  /** Deletes a project of the drawer with all its revisions. */
  public void deleteForGood(UUID id) {
    List<String> hashes =
        transaction.execute(
            status -> {
              Project project = projects.lockInDrawer(id).orElseThrow(NotThereException::new);
              List<String> used = pictures.usedBy(id);
              projects.delete(project);
              return used;
            });
    plans.asMap().keySet().removeIf(key -> key.projectId().equals(id));
    transaction.executeWithoutResult(status -> pictures.sweep(hashes));
  }
}
