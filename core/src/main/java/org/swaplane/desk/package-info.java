/**
 * The client's system for tasks: what it offers, what it gets back, and what it says of that. Entry type:
 * {@link org.swaplane.desk.ClientDesk}; another system is another implementation.
 */
package org.swaplane.desk;
