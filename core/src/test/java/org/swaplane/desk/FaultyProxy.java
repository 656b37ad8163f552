package org.swaplane.desk;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;

/** Stands between a client and a server and spoils connections: cuts them off either way, damages a byte, answers nonsense, or is slow. */
final class FaultyProxy implements AutoCloseable {
    private final ServerSocket listening;
    private final int port;
    private final Random chance;
    private final double share;
    private final AtomicInteger faults = new AtomicInteger();
    private final ExecutorService threads = Executors.newCachedThreadPool(work -> {
        Thread thread = new Thread(work, "proxy");
        thread.setDaemon(true);
        return thread;
    });

    /** What is done to a connection. */
    private enum Fault {
        NONE,
        REFUSED,
        CUT_REQUEST,
        CUT_ANSWER,
        DAMAGED_ANSWER,
        NONSENSE,
        SLOW
    }

    /** @param share of the connections that are spoilt, from 0 to 1 */
    FaultyProxy(String address, long seed, double share) throws IOException {
        this.port = URI.create(address).getPort();
        this.chance = new Random(seed);
        this.share = share;
        listening = new ServerSocket(0, 100, InetAddress.getLoopbackAddress());
        threads.execute(this::listen);
    }

    String address() {
        return "http://127.0.0.1:" + listening.getLocalPort();
    }

    int faults() {
        return faults.get();
    }

    private void listen() {
        try {
            while (true) {
                Socket client = listening.accept();
                Fault fault = next();
                int where = after();
                threads.execute(() -> pass(client, fault, where));
            }
        } catch (IOException e) {
            // Closed.
        }
    }

    private synchronized Fault next() {
        if (chance.nextDouble() >= share) {
            return Fault.NONE;
        }
        faults.incrementAndGet();
        return Fault.values()[1 + chance.nextInt(Fault.values().length - 1)];
    }

    private synchronized int after() {
        return 20 + chance.nextInt(1200);
    }

    private void pass(Socket client, Fault fault, int where) {
        try (client) {
            if (fault == Fault.REFUSED) {
                return;
            }
            if (fault == Fault.NONSENSE) {
                client.getOutputStream()
                        .write("HTTP/1.1 200 OK\r\nContent-Length: 9\r\nConnection: close\r\n\r\n{\"a\": [1,"
                                .getBytes(StandardCharsets.US_ASCII));
                client.getOutputStream().flush();
                Thread.sleep(30);
                return;
            }
            try (Socket server = new Socket(InetAddress.getLoopbackAddress(), port)) {
                threads.execute(() -> copy(client, server, fault == Fault.CUT_REQUEST ? where : -1, -1, 0));
                copy(
                        server,
                        client,
                        fault == Fault.CUT_ANSWER ? where : -1,
                        fault == Fault.DAMAGED_ANSWER ? where : -1,
                        fault == Fault.SLOW ? 10 : 0);
            }
        } catch (IOException e) {
            // One side is gone.
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static void copy(Socket from, Socket to, int cut, int damage, int pause) {
        try {
            InputStream in = from.getInputStream();
            OutputStream out = to.getOutputStream();
            byte[] piece = new byte[256];
            int done = 0;
            for (int read = in.read(piece); read >= 0; read = in.read(piece)) {
                if (cut >= 0 && done + read > cut) {
                    out.write(piece, 0, Math.max(0, cut - done));
                    out.flush();
                    from.close();
                    to.close();
                    return;
                }
                if (damage >= done && damage < done + read) {
                    piece[damage - done] ^= 0x15;
                }
                if (pause > 0) {
                    Thread.sleep(pause);
                }
                out.write(piece, 0, read);
                out.flush();
                done += read;
            }
            to.shutdownOutput();
        } catch (IOException e) {
            // One side is gone.
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void close() throws IOException {
        listening.close();
        threads.shutdownNow();
    }
}
