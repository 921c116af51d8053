package org.undanus.e2e;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Assumptions;

/** A disk of its own for one test, in memory, that can be filled to its last byte and emptied again. */
final class SmallDisk implements AutoCloseable {
    private static final int BLOCK = 64 * 1024;

    private final Path folder;

    private SmallDisk(Path folder) {
        this.folder = folder;
    }

    /** Skips the test where whoever runs it may not mount one. */
    static SmallDisk mounted(int megabytes) throws IOException {
        Path folder = Files.createTempDirectory("undanus-disk");
        Assumptions.assumeTrue(
                run("mount", "-t", "tmpfs", "-o", "size=" + megabytes + "m", "tmpfs", folder.toString()),
                "a small disk can be mounted here");
        return new SmallDisk(folder);
    }

    private static boolean run(String... command) throws IOException {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        try {
            return process.waitFor(20, TimeUnit.SECONDS) && process.exitValue() == 0;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    Path folder() {
        return folder;
    }

    private Path ballast() {
        return folder.resolve("ballast");
    }

    /** Writes until so many bytes are left, or none. */
    void fill(long left) throws IOException {
        try (OutputStream out = Files.newOutputStream(ballast())) {
            while (folder.toFile().getUsableSpace() > left) {
                out.write(new byte[BLOCK]);
                out.flush();
            }
        } catch (IOException e) {
            if (left > 0) {
                throw e;
            }
            // full is what was wanted
        }
    }

    void makeRoom() throws IOException {
        Files.delete(ballast());
    }

    @Override
    public void close() throws IOException {
        run("umount", "-l", folder.toString());
        Files.delete(folder);
    }
}
