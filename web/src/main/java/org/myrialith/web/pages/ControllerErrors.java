package org.myrialith.web.pages;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.web.store.BusyException;
import org.myrialith.web.store.NotThereException;
import org.myrialith.web.store.Projects;
import org.myrialith.web.store.StoreTrouble;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
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
import org.thymeleaf.exceptions.TemplateEngineException;

/** Pages for what could not be done. Each says what was read and that nothing was lost. */
@ControllerAdvice(
    basePackages = "org.myrialith.web",
    annotations = org.springframework.stereotype.Controller.class)
class ControllerErrors {
  private static final Logger LOG = LoggerFactory.getLogger(ControllerErrors.class);

  private static final Pattern GADGET = Pattern.compile("^/gadgets/([0-9a-fA-F-]{36})(?:/|$)");

  private final Projects projects;

  ControllerErrors(Projects projects) {
    this.projects = projects;
  }

  private static ModelAndView page(HttpStatus status, String what, List<InputError> errors) {
    ModelAndView page = new ModelAndView("mishap");
    page.setStatus(status);
    page.addObject("what", what);
    page.addObject("refused", errors.isEmpty() ? null : errors);
    return page;
  }

  @ExceptionHandler(NoResourceFoundException.class)
  ModelAndView missing() {
    return missing(new NotThereException());
  }

  @ExceptionHandler(NotThereException.class)
  ModelAndView missing(NotThereException e) {
    return page(HttpStatus.NOT_FOUND, e.getMessage(), List.of());
  }

  @ExceptionHandler(InputException.class)
  ModelAndView refused(InputException e, HttpServletRequest request) {
    return wayBack(
        page(
            HttpStatus.UNPROCESSABLE_CONTENT,
            "That could not be accepted. Nothing was changed.",
            e.errors()),
        request);
  }

  /** Parameters of an address or a form that are no UTF-8. */
  @ExceptionHandler(InvalidParameterException.class)
  ModelAndView garbled() {
    return page(
        HttpStatus.BAD_REQUEST,
        "The address or the form can't be read: its text is not UTF-8. Nothing was changed.",
        List.of());
  }

  /** What a plan stumbles over is a fault of ours: the gadget is kept, and the last step can go. */
  @ExceptionHandler({
    IllegalArgumentException.class,
    IllegalStateException.class,
    ArithmeticException.class,
    IndexOutOfBoundsException.class,
    NullPointerException.class,
    NoSuchElementException.class,
    TemplateEngineException.class
  })
  ModelAndView fault(RuntimeException e, HttpServletRequest request) {
    LOG.error("{} {}", request.getMethod(), request.getRequestURI(), e);
    return wayBack(
        page(
            HttpStatus.INTERNAL_SERVER_ERROR,
            "This page can't be shown; that is an error in Myrialith. Your gadget is kept as last saved.",
            List.of()),
        request);
  }

  /** Where a page of a gadget can't be shown, what was done last can be undone. */
  private ModelAndView wayBack(ModelAndView page, HttpServletRequest request) {
    Matcher matcher = GADGET.matcher(request.getRequestURI());
    if (request.getMethod().equals("GET") && matcher.find()) {
      projects
          .stuck(UUID.fromString(matcher.group(1)))
          .ifPresent(stuck -> page.addObject("stuck", stuck));
    }
    return page;
  }

  @ExceptionHandler(BusyException.class)
  ModelAndView busy(BusyException e) {
    return page(HttpStatus.SERVICE_UNAVAILABLE, e.getMessage(), List.of());
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
        List.of(new InputError("file", "more than 32 MB", "at most 32 MB")));
  }

  @ExceptionHandler(MethodArgumentTypeMismatchException.class)
  ModelAndView mismatch(MethodArgumentTypeMismatchException e) {
    boolean address = e.getName().equals("id");
    return address
        ? missing()
        : page(
            HttpStatus.BAD_REQUEST,
            "That could not be accepted. Nothing was changed.",
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
