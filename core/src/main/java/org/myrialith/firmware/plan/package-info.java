/**
 * The firmware step: the smallest way to pack that fits and is quick enough, its memory and time,
 * judgements, README, and all files.
 */
package org.myrialith.firmware.plan;
