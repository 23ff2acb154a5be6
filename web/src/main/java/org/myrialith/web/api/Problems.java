package org.myrialith.web.api;

import java.util.List;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.web.store.BusyException;
import org.myrialith.web.store.NotThereException;
import org.myrialith.web.store.StoreTrouble;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.orm.jpa.JpaSystemException;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Errors of the API as problem details (RFC 9457), each naming its fields. */
@RestControllerAdvice(assignableTypes = ApiController.class)
@Order(Ordered.HIGHEST_PRECEDENCE)
class Problems extends ResponseEntityExceptionHandler {
  private static ProblemDetail problem(
      HttpStatus status, String title, String detail, List<InputError> errors) {
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
    problem.setTitle(title);
    if (!errors.isEmpty()) {
      problem.setProperty("errors", errors);
    }
    return problem;
  }

  @ExceptionHandler({
    TransactionException.class,
    DataAccessResourceFailureException.class,
    JpaSystemException.class
  })
  ProblemDetail storeTrouble(Exception e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.SERVICE_UNAVAILABLE, StoreTrouble.words(e));
  }

  /** Parameters that are no UTF-8. */
  @ExceptionHandler
  ProblemDetail garbled(InvalidParameterException e) {
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.BAD_REQUEST, "A parameter can't be read: its text is not UTF-8.");
  }

  @ExceptionHandler
  ProblemDetail busy(BusyException e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.SERVICE_UNAVAILABLE, e.getMessage());
  }

  @ExceptionHandler
  ProblemDetail refused(InputException e) {
    return problem(HttpStatus.UNPROCESSABLE_CONTENT, "Input refused", e.getMessage(), e.errors());
  }

  @ExceptionHandler
  ProblemDetail late(LateException e) {
    ProblemDetail problem =
        problem(HttpStatus.CONFLICT, "Changed meanwhile", e.getMessage(), List.of());
    problem.setProperty("head", e.late().head());
    problem.setProperty("kept", e.late().kept());
    return problem;
  }

  @ExceptionHandler
  ProblemDetail missing(NotThereException e) {
    return problem(HttpStatus.NOT_FOUND, "Not found", e.getMessage(), List.of());
  }

  @ExceptionHandler
  ProblemDetail mismatch(MethodArgumentTypeMismatchException e) {
    InputError error =
        new InputError(
            e.getName(),
            String.valueOf(e.getValue()),
            "a " + (e.getRequiredType() == null ? "value" : e.getRequiredType().getSimpleName()));
    return problem(HttpStatus.BAD_REQUEST, "Bad request", error.sentence(), List.of(error));
  }
}
