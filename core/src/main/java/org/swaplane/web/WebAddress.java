package org.swaplane.web;

import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;

/** The address of a service that a person entered. */
public final class WebAddress {
    private WebAddress() {}

    /**
     * Reads an address; slashes at its end are left out.
     *
     * @throws CannotProceedException when it is none, or text would go to another computer without encryption
     */
    public static URI parse(String address) {
        URI uri;
        try {
            uri = URI.create(address.strip().replaceAll("/+$", ""));
        } catch (IllegalArgumentException e) {
            throw new CannotProceedException(
                    new CannotProceedException.Place("", 0, 0), Phrase.of("address.none", withoutSecret(address)), e);
        }
        boolean web = "http".equalsIgnoreCase(uri.getScheme()) || "https".equalsIgnoreCase(uri.getScheme());
        if (!web || uri.getHost() == null) {
            throw new CannotProceedException("", "address.none", withoutSecret(address));
        }
        if (uri.getRawUserInfo() != null) {
            throw new CannotProceedException("", "address.secret", withoutSecret(address));
        }
        if ("http".equalsIgnoreCase(uri.getScheme()) && !isOnThisComputer(uri)) {
            throw new CannotProceedException("", "address.unencrypted", address);
        }
        return uri;
    }

    /** Names and passwords that were typed into an address are shown nowhere. */
    private static String withoutSecret(String address) {
        return address.replaceAll("(?<=//)[^/]*@", "");
    }

    private static boolean isOnThisComputer(URI address) {
        try {
            return InetAddress.getByName(address.getHost()).isLoopbackAddress();
        } catch (UnknownHostException e) {
            return false;
        }
    }
}
