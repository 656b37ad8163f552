/**
 * What work costs: rate cards, and amounts that are computed exactly and rounded once. Entry types: {@link org.swaplane.rates.RateCard},
 * {@link org.swaplane.rates.Account}.
 */
package org.swaplane.rates;
