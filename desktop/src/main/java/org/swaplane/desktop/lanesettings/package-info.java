/** What holds for one lane: what it is, its languages, names of results, conditions. Other views must not be used here. */
package org.swaplane.desktop.lanesettings;
