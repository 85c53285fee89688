/**
 * Figures from facts: exact sums, medians and shares; what the coming month and other plans cost.
 */
@NullMarked
package fabulum.core.report;

import org.jspecify.annotations.NullMarked;
