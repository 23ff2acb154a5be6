package org.myrialith.web.pages;

import java.util.List;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.web.store.NotThereException;
import org.myrialith.web.store.StoreTrouble;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.orm.jpa.JpaSystemException;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Pages for what could not be done. Each says what was read and that nothing was lost. */
@ControllerAdvice(
    basePackages = "org.myrialith.web",
    annotations = org.springframework.stereotype.Controller.class)
class ControllerErrors {
  private static ModelAndView page(HttpStatus status, String what, List<InputError> errors) {
    ModelAndView page = new ModelAndView("mishap");
    page.setStatus(status);
    page.addObject("what", what);
    page.addObject("refused", errors.isEmpty() ? null : errors);
    return page;
  }

  @ExceptionHandler({NotThereException.class, NoResourceFoundException.class})
  ModelAndView missing() {
    return page(
        HttpStatus.NOT_FOUND,
        "There is nothing at this address. It may have been deleted.",
        List.of());
  }

  @ExceptionHandler(InputException.class)
  ModelAndView refused(InputException e) {
    return page(
        HttpStatus.UNPROCESSABLE_CONTENT, "That can't be taken. Nothing was changed.", e.errors());
  }

  @ExceptionHandler({
    TransactionException.class,
    DataAccessResourceFailureException.class,
    JpaSystemException.class
  })
  ModelAndView storeTrouble(Exception e) {
    return page(HttpStatus.SERVICE_UNAVAILABLE, StoreTrouble.words(e), List.of());
  }

  @ExceptionHandler(MaxUploadSizeExceededException.class)
  ModelAndView tooLarge() {
    return page(
        HttpStatus.CONTENT_TOO_LARGE,
        "The file is too large. Nothing was changed.",
        List.of(new InputError("file", "more than 16 MB", "at most 16 MB")));
  }

  @ExceptionHandler(MethodArgumentTypeMismatchException.class)
  ModelAndView mismatch(MethodArgumentTypeMismatchException e) {
    boolean address = e.getName().equals("id");
    return address
        ? missing()
        : page(
            HttpStatus.BAD_REQUEST,
            "That can't be taken. Nothing was changed.",
            List.of(new InputError(e.getName(), String.valueOf(e.getValue()), "a whole number")));
  }

  @ExceptionHandler(MissingServletRequestParameterException.class)
  ModelAndView incomplete(MissingServletRequestParameterException e) {
    return page(
        HttpStatus.BAD_REQUEST,
        "The request is incomplete. Nothing was changed.",
        List.of(new InputError(e.getParameterName(), "", "a value")));
  }
}
