/**
 * The demo lane: a made-up client, a made-up reviewer, and what they got wrong. Entry type:
 * {@link org.swaplane.demo.DemoLane}.
 */
package org.swaplane.demo;
