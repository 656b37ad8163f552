package org.swaplane.lane;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.time.Instant;

/**
 * The program that has a lane open.
 *
 * @param process its number on its machine
 * @param since as ISO 8601; all of it empty where nobody can tell
 */
public record LaneHolder(String user, String machine, String process, String since) {
    static LaneHolder thisProgram(Instant now) {
        return new LaneHolder(
                System.getProperty("user.name", ""),
                machineName(),
                String.valueOf(ProcessHandle.current().pid()),
                now.toString());
    }

    private static String machineName() {
        try {
            return InetAddress.getLocalHost().getHostName();
        } catch (UnknownHostException e) {
            return "";
        }
    }

    String written() {
        return String.join("\n", user, machine, process, since);
    }

    static LaneHolder of(String written) {
        String[] lines = (written + "\n\n\n\n").split("\n", -1);
        return new LaneHolder(lines[0], lines[1], lines[2], lines[3]);
    }
}
