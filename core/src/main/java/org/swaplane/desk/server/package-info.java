/**
 * A stand-in for a client's desk, on this computer only: tasks, their packages, what was returned, and a page for the client's side. Entry
 * type: {@link org.swaplane.desk.server.DeskServer}.
 */
package org.swaplane.desk.server;
