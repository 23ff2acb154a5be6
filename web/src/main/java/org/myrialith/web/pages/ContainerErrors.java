package org.myrialith.web.pages;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.ModelAndView;

/**
 * Answers for what fails before a controller has it: pages for people, problem details (RFC 9457)
 * for programs.
 */
@Controller
class ContainerErrors implements ErrorController {
  private static final Map<Integer, String> WORDS =
      Map.of(
          403,
              "This page was open too long, or the request came from elsewhere. Nothing was changed: go back, reload, and do it again.",
          400,
              "The request is damaged: an upload or an address that can't be read. Nothing was changed.",
          404, "There is nothing at this address.",
          405, "This address does not accept that request. Nothing was changed.",
          413, "The file is too large: the limit is 32 MB. Nothing was changed.");

  private static final int TOO_LARGE = 413;
  private static final String FORM_TOO_LARGE =
      "The form is too large: the limit is 2 MB. Nothing was changed.";
  private static final String ELSE = "That did not work. Nothing was changed.";

  @RequestMapping("/error")
  Object error(HttpServletRequest request) {
    int status = status(request);
    boolean form = String.valueOf(request.getContentType()).contains("form-urlencoded");
    String words = status == TOO_LARGE && form ? FORM_TOO_LARGE : WORDS.getOrDefault(status, ELSE);
    String path = String.valueOf(request.getAttribute(RequestDispatcher.ERROR_REQUEST_URI));
    if (path.startsWith("/api/")) {
      ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatus.valueOf(status), words);
      return ResponseEntity.status(status)
          .contentType(MediaType.APPLICATION_PROBLEM_JSON)
          .body(problem);
    }
    ModelAndView page = new ModelAndView("error", HttpStatus.valueOf(status));
    page.addObject("status", status);
    page.addObject("words", words);
    return page;
  }

  private static int status(HttpServletRequest request) {
    if (request.getAttribute(RequestDispatcher.ERROR_EXCEPTION) instanceof Throwable thrown
        && !(thrown instanceof MaxUploadSizeExceededException)
        && (thrown instanceof MultipartException
            || thrown.getCause() instanceof MultipartException)) {
      return HttpStatus.BAD_REQUEST.value();
    }
    Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
    if (status == null) { // asked for by its own address
      return HttpStatus.NOT_FOUND.value();
    }
    return status instanceof Integer code && HttpStatus.resolve(code) != null ? code : 500;
  }
}
