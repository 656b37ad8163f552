/**
 * String resources in XML: those of Android and of .NET. Entry types: {@link org.swaplane.format.resources.AndroidFormat} and
 * {@link org.swaplane.format.resources.DotNetFormat}.
 */
package org.swaplane.format.resources;
