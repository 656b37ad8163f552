/**
 * What can be told of a job when it is done: what it took, what was changed, how good it is, what it costs; as figures to look at and as
 * a report to send. Entry types: {@link org.swaplane.jobreport.JobReport}, {@link org.swaplane.jobreport.LaneAccount}.
 */
package org.swaplane.jobreport;
