package org.swaplane.release;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/**
 * Starts an office program that must fetch nothing: a document may name pictures, templates and data of other computers, and whoever put them
 * there must not hear that it was opened. Where the system can take the network away from a process, it is taken; everywhere the program's
 * own profile forbids links and leads every request to a port where nobody answers.
 */
final class OfflineProgram {
    private static final List<String> WITHOUT_NETWORK = List.of("unshare", "--map-root-user", "--net");
    private static final String NOWHERE = "http://127.0.0.1:9";

    private static final String PROFILE = """
            <?xml version="1.0" encoding="UTF-8"?>
            <oor:items xmlns:oor="http://openoffice.org/2001/registry">
            <item oor:path="/org.openoffice.Office.Common/Security/Scripting"><prop oor:name="BlockUntrustedRefererLinks" oor:op="fuse"><value>true</value></prop></item>
            <item oor:path="/org.openoffice.Office.Common/Security/Scripting"><prop oor:name="DisableActiveContent" oor:op="fuse"><value>true</value></prop></item>
            <item oor:path="/org.openoffice.Office.Common/Security/Scripting"><prop oor:name="MacroSecurityLevel" oor:op="fuse"><value>3</value></prop></item>
            <item oor:path="/org.openoffice.Office.Writer/Content/Update"><prop oor:name="Link" oor:op="fuse"><value>2</value></prop></item>
            <item oor:path="/org.openoffice.Inet/Settings"><prop oor:name="ooInetProxyType" oor:op="fuse"><value>2</value></prop></item>
            <item oor:path="/org.openoffice.Inet/Settings"><prop oor:name="ooInetHTTPProxyName" oor:op="fuse"><value>127.0.0.1</value></prop></item>
            <item oor:path="/org.openoffice.Inet/Settings"><prop oor:name="ooInetHTTPProxyPort" oor:op="fuse"><value>9</value></prop></item>
            <item oor:path="/org.openoffice.Inet/Settings"><prop oor:name="ooInetHTTPSProxyName" oor:op="fuse"><value>127.0.0.1</value></prop></item>
            <item oor:path="/org.openoffice.Inet/Settings"><prop oor:name="ooInetHTTPSProxyPort" oor:op="fuse"><value>9</value></prop></item>
            <item oor:path="/org.openoffice.Inet/Settings"><prop oor:name="ooInetNoProxy" oor:op="fuse"><value></value></prop></item>
            </oor:items>
            """;

    private OfflineProgram() {}

    /** @param profile an empty folder that the command names as the program's profile */
    static Process start(Path profile, List<String> command) throws IOException {
        Path user = Files.createDirectories(profile.resolve("user"));
        Files.writeString(user.resolve("registrymodifications.xcu"), PROFILE);
        List<String> whole = new ArrayList<>(canTakeNetworkAway() ? WITHOUT_NETWORK : List.of());
        whole.addAll(command);
        ProcessBuilder program =
                new ProcessBuilder(whole).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD);
        for (String name : List.of("http_proxy", "https_proxy", "ftp_proxy", "all_proxy")) {
            program.environment().put(name, NOWHERE);
        }
        program.environment().remove("no_proxy");
        return program.start();
    }

    /** Whether this system starts a process without a network. */
    static boolean canTakeNetworkAway() throws IOException {
        List<String> attempt = new ArrayList<>(WITHOUT_NETWORK);
        attempt.add("true");
        try {
            Process process = new ProcessBuilder(attempt)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
            return process.waitFor(5, TimeUnit.SECONDS) && process.exitValue() == 0;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        } catch (IOException e) {
            // There is no such command here.
            return false;
        }
    }
}
