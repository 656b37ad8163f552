package org.swaplane.release;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.SocketTimeoutException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class OfflineProgramTest {
    @TempDir
    private Path folder;

    @Test
    void aProgramThatRendersADocumentReachesNobody() throws Exception {
        assumeThat(OfflineProgram.canTakeNetworkAway()).isTrue();
        try (ServerSocket listening = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            listening.setSoTimeout(1500);
            String call = "exec 3<>/dev/tcp/127.0.0.1/" + listening.getLocalPort();

            Process program = OfflineProgram.start(folder.resolve("profile"), List.of("bash", "-c", call));

            assertThat(program.waitFor(10, TimeUnit.SECONDS)).isTrue();
            assertThat(program.exitValue()).isNotZero();
            assertThat(hears(listening)).isFalse();
        }
    }

    private static boolean hears(ServerSocket listening) throws IOException {
        try {
            listening.accept().close();
            return true;
        } catch (SocketTimeoutException e) {
            return false;
        }
    }

    @Test
    void whereTheNetworkCannotBeTakenAwayRequestsAndLinksLeadNowhere() throws Exception {
        Path said = folder.resolve("said");

        OfflineProgram.start(folder.resolve("profile"), List.of("bash", "-c", "env > '" + said + "'"))
                .waitFor(10, TimeUnit.SECONDS);

        assertThat(said).content().contains("http_proxy=http://127.0.0.1:9", "https_proxy=http://127.0.0.1:9");
        assertThat(folder.resolve("profile/user/registrymodifications.xcu"))
                .content()
                .contains("BlockUntrustedRefererLinks", "ooInetProxyType");
        assertThat(Files.isRegularFile(said)).isTrue();
    }
}
