/**
 * Translation memories: folders with an index of units, imported, looked up, searched and filled from. Entry type:
 * {@link org.swaplane.memory.TranslationMemory}.
 */
package org.swaplane.memory;
