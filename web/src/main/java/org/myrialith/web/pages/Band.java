package org.myrialith.web.pages;

import org.myrialith.finding.Verdict;

/**
 * One layer at the left edge.
 *
 * @param path last part of its page's address
 * @param headline its one figure
 * @param was the figure of the revision before, empty when it did not move
 */
public record Band(
    String path, String title, String headline, String was, Verdict verdict, boolean here) {}
