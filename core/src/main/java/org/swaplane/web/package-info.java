/**
 * Asking a server over HTTP: patient with a slow one, bounded with one that means harm. Entry type: {@link org.swaplane.web.PatientHttp}.
 */
package org.swaplane.web;
