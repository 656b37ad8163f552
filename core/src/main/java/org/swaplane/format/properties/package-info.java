/** Java .properties files: each value is a unit, its key where it stands. Entry type: {@link org.swaplane.format.properties.PropertiesFormat}. */
package org.swaplane.format.properties;
