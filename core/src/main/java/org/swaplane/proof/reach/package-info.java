/**
 * What a file holds, told without the readers of its format: every text that somebody could read in it, and every picture. The dry run
 * compares it before and after. Entry types: {@link org.swaplane.proof.reach.AllTexts} and {@link org.swaplane.proof.reach.Pictures}.
 */
package org.swaplane.proof.reach;
