/**
 * The supply tree: converters, cables, cells and what is supplied from what; its voltages, losses
 * and battery life.
 */
package org.myrialith.power.supply;
