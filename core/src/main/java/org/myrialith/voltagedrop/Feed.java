package org.myrialith.voltagedrop;

import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.parts.Conductor;
import org.myrialith.parts.Connector;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * Where a pair of wires from the supply meets a chain.
 *
 * @param at pixel of the chain, in the order of the data, from 0
 * @param wire of plus and of minus
 * @param lengthMm one way (mm)
 * @param connector that it comes through
 */
public record Feed(int at, Conductor wire, double lengthMm, Connector connector) {
  /** Most pixels of a chain. */
  public static final Bounds AT = Bounds.count(0, 200_000);

  /** Allowed length, one way. */
  public static final Bounds LENGTH = Bounds.measure(1, 200_000, "mm");

  /** How it stands in the format. */
  public static final Description<Feed> DESCRIPTION =
      Description.of(
          Feed.class,
          Field.count("at", "At pixel", AT),
          wireField("wire", "Wire"),
          Field.measure("lengthMm", "Length, one way", LENGTH),
          plugField("connector", "Connector"));

  public Feed {
    AT.require("at", at);
    Objects.requireNonNull(wire, "wire");
    LENGTH.require("lengthMm", lengthMm);
    Objects.requireNonNull(connector, "connector");
  }

  /** A feed that is soldered. */
  public Feed(int at, Conductor wire, double lengthMm) {
    this(at, wire, lengthMm, Connector.NONE);
  }

  /** Returns a field of a connector. */
  public static Field<Connector> plugField(String name, String label) {
    return Field.of(
            name, label, Types.Choice.of(Connector.values(), Connector::key, Connector::title))
        .or(Connector.NONE);
  }

  /** Returns a field of a conductor. */
  public static Field<Conductor> wireField(String name, String label) {
    return Field.of(
        name, label, Types.Choice.of(Conductor.values(), Conductor::key, Conductor::title));
  }

  /** Returns it at another pixel. */
  public Feed at(int pixel) {
    return new Feed(pixel, wire, lengthMm, connector);
  }

  /** Returns the resistance of plus, and that of minus, each with a contact of its plug (ohm). */
  double ohms(double celsius) {
    return wire.ohmsPerMetre(celsius) * lengthMm * 1e-3 + connector.ohms();
  }
}
