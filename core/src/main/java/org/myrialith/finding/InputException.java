package org.myrialith.finding;

import java.util.List;
import java.util.stream.Collectors;

/** Carries every {@link InputError} found in one piece of input; nothing was changed. */
public final class InputException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final transient List<InputError> errors;

  /** Takes at least one error. */
  public InputException(List<InputError> errors) {
    super(errors.stream().map(InputError::sentence).collect(Collectors.joining(" ")));
    this.errors = List.copyOf(errors);
  }

  /** Takes one error. */
  public InputException(String field, Object value, String allowed) {
    this(List.of(new InputError(field, String.valueOf(value), allowed)));
  }

  /** Returns the errors, at least one. */
  public List<InputError> errors() {
    return errors;
  }
}
