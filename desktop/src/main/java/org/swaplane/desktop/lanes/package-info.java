/** The start: all lanes of a person, a new one, and what holds for the person in all of them. Knows nothing of the views of a lane. */
package org.swaplane.desktop.lanes;
