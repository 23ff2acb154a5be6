package org.myrialith.web.store;

import java.time.Clock;
import java.util.List;
import org.myrialith.finding.InputException;
import org.myrialith.parts.EmitterClass;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Classes of emitters kept for all gadgets. */
@Service
public class OwnParts {
  private static final int MOST = 200;
  private static final JsonMapper MAPPER = new JsonMapper();

  private final OwnPartTable table;
  private final Clock clock;

  OwnParts(OwnPartTable table, Clock clock) {
    this.table = table;
    this.clock = clock;
  }

  /** Returns them in the order of their identifiers. */
  @Transactional(readOnly = true)
  public List<EmitterClass> emitters() {
    return table.findAllByOrderById().stream()
        .map(part -> EmitterClass.DESCRIPTION.read(MAPPER.readTree(part.getData())))
        .toList();
  }

  /**
   * Keeps a class, in place of the one of the same identifier.
   *
   * @throws InputException if there are too many
   */
  @Transactional
  public void keep(EmitterClass emitter) {
    if (table.count() >= MOST && !table.existsById(emitter.id())) {
      throw new InputException("parts", table.count() + " kept", "at most " + MOST);
    }
    String data = EmitterClass.DESCRIPTION.write(emitter).toString();
    table.put(emitter.id(), clock.instant(), data);
  }

  /** Lets a class go; gadgets that use it have their own copy. */
  @Transactional
  public void drop(String id) {
    table.drop(id);
  }
}
