/**
 * Reading aloud and dictation: what an engine must offer, the voice of the operating system where there is one, and stand-ins without sound.
 * Entry types: {@link org.swaplane.speech.Voice} and {@link org.swaplane.speech.Dictation}.
 */
package org.swaplane.speech;
