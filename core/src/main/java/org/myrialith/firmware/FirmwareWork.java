package org.myrialith.firmware;

import java.util.List;
import java.util.Optional;
import org.myrialith.drive.ChainPlan;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Show;
import org.myrialith.power.Limiter;

/**
 * What firmware is made from.
 *
 * @param chain the data line
 * @param show its moments
 * @param levels of the clips of the show
 * @param limiter that the player carries, if any
 */
public record FirmwareWork(
    ChainPlan chain, Show show, List<ClipLevels> levels, Optional<Limiter> limiter) {}
