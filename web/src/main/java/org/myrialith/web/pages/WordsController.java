package org.myrialith.web.pages;

import org.myrialith.finding.Term;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.servlet.ModelAndView;

/** The terms of the trade that the pages use, explained. */
@Controller
class WordsController {
  @GetMapping("/words")
  ModelAndView words() {
    return new ModelAndView("words", "terms", Term.sorted());
  }
}
