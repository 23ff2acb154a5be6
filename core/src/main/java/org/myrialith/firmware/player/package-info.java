/**
 * What the player is given and what it takes: the clips that are stored or computed, their tables,
 * its time from frame to frame, its size.
 */
package org.myrialith.firmware.player;
