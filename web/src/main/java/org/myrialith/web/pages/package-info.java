/**
 * What all project pages share: the strata, the calculations, forms that keep what was typed, and
 * the way of an edit.
 */
package org.myrialith.web.pages;
