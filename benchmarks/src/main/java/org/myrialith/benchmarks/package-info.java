/** Speed of the core, told as ratios taken in one run. */
package org.myrialith.benchmarks;
