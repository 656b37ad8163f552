/**
 * The board: every track as a road with two lanes, and the panel that shows a new file before it is accepted. Entry type:
 * {@link org.swaplane.desktop.board.BoardView}.
 */
package org.swaplane.desktop.board;
