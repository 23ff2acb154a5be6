package org.myrialith.schema;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import tools.jackson.databind.JsonNode;

/**
 * One reading: the errors found so far, and what texts may refer to. Mutable, lives within one
 * call.
 */
public final class Reading {
  /** Most errors that are told; reading ends there. */
  public static final int MOST_ERRORS = 100;

  private static final int SHOWN = 80;

  private final List<InputError> errors = new ArrayList<>();
  private final Map<Class<?>, Function<String, ? extends Optional<?>>> references = new HashMap<>();

  /** Lets texts refer to things of a type, such as pictures by their hash. */
  public <V> Reading with(Class<V> type, Function<String, Optional<V>> found) {
    references.put(type, found);
    return this;
  }

  /** Returns what a text refers to. */
  public <V> Optional<V> find(Class<V> type, String key) {
    Function<String, ? extends Optional<?>> found = references.get(type);
    return found == null ? Optional.empty() : found.apply(key).map(type::cast);
  }

  /**
   * Adds an error.
   *
   * @throws InputException with all errors so far when there are {@link #MOST_ERRORS}
   */
  public void refuse(String path, JsonNode value, String allowed) {
    add(new InputError(path, shown(value), allowed));
  }

  /**
   * Adds an error.
   *
   * @throws InputException with all errors so far when there are {@link #MOST_ERRORS}
   */
  public void add(InputError error) {
    errors.add(error);
    if (errors.size() >= MOST_ERRORS) {
      errors.add(new InputError("", "more errors than these", "input with fewer errors"));
      throwIfAny();
    }
  }

  /** Returns how many errors there are, to see later whether any came since. */
  public int count() {
    return errors.size();
  }

  /**
   * Ends the reading.
   *
   * @throws InputException with every error, if there is one
   */
  public void throwIfAny() {
    if (!errors.isEmpty()) {
      throw new InputException(errors);
    }
  }

  /** Makes a value whose own checks may refuse it; returns null after an error. */
  <T> T make(String path, Supplier<T> maker) {
    try {
      return maker.get();
    } catch (InputException e) {
      e.errors().forEach(error -> add(path.isEmpty() ? error : error.below(path)));
      return null;
    }
  }

  /** What was read, short whatever its size. */
  private static String shown(JsonNode value) {
    if (value == null) {
      return "";
    }
    if (value.isString()) {
      String text = value.stringValue();
      return text.length() > SHOWN ? text.substring(0, SHOWN) + "…" : text;
    }
    if (value.isContainer()) {
      return value.isEmpty()
          ? (value.isArray() ? "[]" : "{}")
          : (value.isArray() ? "a list of " + value.size() : "an object");
    }
    return value.toString();
  }
}
