/**
 * Sentences: rules as SRX 2.0 (LISA OSCAR, 2008), and a text cut by them. Entry types:
 * {@link org.swaplane.segmentation.SegmentationRules} and {@link org.swaplane.segmentation.Segmentation}.
 */
package org.swaplane.segmentation;
