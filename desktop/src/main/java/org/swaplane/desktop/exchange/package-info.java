/**
 * Sending copies out and bringing them back, change by change. Entry type:
 * {@link org.swaplane.desktop.exchange.ExchangeView}.
 */
package org.swaplane.desktop.exchange;
