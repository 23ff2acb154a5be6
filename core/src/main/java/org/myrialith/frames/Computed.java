package org.myrialith.frames;

import org.myrialith.colour.LevelTable;
import org.myrialith.effects.Places;
import org.myrialith.effects.Recipe;

/**
 * What a controller works the frames of a clip out from, in place of keeping them.
 *
 * @param recipe its effects
 * @param places of its fixture
 * @param table of levels for asked values
 */
public record Computed(Recipe recipe, Places places, LevelTable table) {}
