/** The view References: searching what is known, the memories of the lane, filling files from them, and words by band. */
package org.swaplane.desktop.references;
