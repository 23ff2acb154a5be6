/**
 * Every step's answer from one door, {@link org.myrialith.gadget.plan.GadgetPlan}: lazy, ties the
 * steps and decides nothing.
 */
package org.myrialith.gadget.plan;
