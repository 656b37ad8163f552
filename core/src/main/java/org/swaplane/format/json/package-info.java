/** JSON: each string value is a unit, its path where it stands. Entry type: {@link org.swaplane.format.json.JsonFormat}. */
package org.swaplane.format.json;
