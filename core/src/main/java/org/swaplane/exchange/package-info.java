/**
 * What came back: a returned copy matched row by row with what was sent and with what stands now. Entry type:
 * {@link org.swaplane.exchange.ReturnReading}.
 */
package org.swaplane.exchange;
