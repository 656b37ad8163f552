/**
 * The client's desk: its tasks, what is downloaded and returned, and what the desk says of that. Entry type:
 * {@link org.swaplane.desktop.desk.DeskView}.
 */
package org.swaplane.desktop.desk;
