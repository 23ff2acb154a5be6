/**
 * What the gadget draws: levels of the show, the chain and the supply come in; current per moment,
 * worst case and judgement go out.
 *
 * <p>Two schools of planning. <em>Worst case</em>: the supply must stand all white, whatever is
 * shown. <em>These frames</em>: the supply must stand what the frames draw, and the firmware
 * carries a limiter that dims anything beyond.
 */
package org.myrialith.power;
