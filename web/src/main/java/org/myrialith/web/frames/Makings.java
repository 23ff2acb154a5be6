package org.myrialith.web.frames;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.myrialith.effects.Progress;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** Frames that are being made: how far they are, and a way to end it, by a token of the page. */
@Controller
@RequestMapping("/making/{token}")
class Makings {
  /** More at once are made unseen. */
  private static final int MOST = 200;

  private static final String TOKEN = "[0-9a-f]{32}";

  private final Map<String, Job> jobs = new ConcurrentHashMap<>();

  /** One of them. Mutable, told by one thread and asked by others. */
  private static final class Job implements Progress {
    private volatile int done;
    private volatile int all;
    private volatile boolean stopped;

    @Override
    public void come(int now, int of) {
      done = now;
      all = of;
      if (stopped) {
        throw new Stopped();
      }
    }
  }

  /** Returns what is to be told of the work of a page; of one without a token nobody asks. */
  Progress begin(String token) {
    if (!token.matches(TOKEN) || jobs.size() >= MOST) {
      return Progress.UNSEEN;
    }
    return jobs.computeIfAbsent(token, t -> new Job());
  }

  /** It is done, or ended. */
  void end(String token) {
    jobs.remove(token);
  }

  /** Says how far it is; 0 of 0 for what has not begun or is over. */
  @GetMapping
  @ResponseBody
  Map<String, Integer> seen(@PathVariable String token) {
    Job job = jobs.get(token);
    return job == null ? Map.of("done", 0, "all", 0) : Map.of("done", job.done, "all", job.all);
  }

  /** Ends it. */
  @PostMapping("/stop")
  @ResponseBody
  Map<String, Boolean> stop(@PathVariable String token) {
    Job job = jobs.get(token);
    if (job != null) {
      job.stopped = true;
    }
    return Map.of("stopped", job != null);
  }
}
