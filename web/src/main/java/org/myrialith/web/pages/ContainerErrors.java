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
          404, "There is nothing at this address.",
          405, "That address takes no such request. Nothing was changed.",
          413, "The file is too large: at most 16 MB are taken. Nothing was changed.");

  private static final String ELSE = "That did not work. Nothing was changed.";

  @RequestMapping("/error")
  Object error(HttpServletRequest request) {
    int status = status(request);
    String words = WORDS.getOrDefault(status, ELSE);
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
    Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
    return status instanceof Integer code && HttpStatus.resolve(code) != null ? code : 500;
  }
}
