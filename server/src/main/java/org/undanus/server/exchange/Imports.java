package org.undanus.server.exchange;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.UUID;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.util.FileSystemUtils;
import org.springframework.util.unit.DataSize;
import org.undanus.server.account.Person;
import org.undanus.server.exchange.Import.ImportView;
import org.undanus.server.problem.BusyException;
import org.undanus.server.problem.DiskFullException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.space.RoomOnDisk;

/** Imports under way: one at a time, a few waiting, and what came of those of the last hour. */
@Service
class Imports {
    private static final int WAITING = 4;
    private static final int REMEMBERED = 100;
    private static final Duration REMEMBERED_FOR = Duration.ofHours(1);
    private static final Duration PATIENCE = Duration.ofMinutes(1);
    /** On its way in a case file lies on the disk itself, unpacked, and in the database. */
    private static final int COPIES = 3;

    private final Path folder;
    private final DataSize largest;
    private final RoomOnDisk room;
    private final CaseImport exchange;
    private final Everything everything;
    private final Cache<String, Import> known = Caffeine.newBuilder()
            .maximumSize(REMEMBERED)
            .expireAfterWrite(REMEMBERED_FOR)
            .build();
    private final ThreadPoolExecutor one = new ThreadPoolExecutor(
            1, 1, 0, TimeUnit.SECONDS, new ArrayBlockingQueue<>(WAITING), work -> new Thread(work, "import"));

    Imports(
            @Value("${undanus.data}") Path data,
            @Value("${undanus.largest-case-file}") DataSize largest,
            RoomOnDisk room,
            CaseImport exchange,
            Everything everything) {
        this.everything = everything;
        this.largest = largest;
        this.folder = data.resolve("imports");
        this.room = room;
        this.exchange = exchange;
        // what a killed process left: nothing of it was kept
        FileSystemUtils.deleteRecursively(folder.toFile());
    }

    /**
     * Takes a file in and begins to read it.
     *
     * @throws BusyException where too many wait already
     * @throws DiskFullException where there is no room for it
     */
    ImportView begin(InputStream content, Person person) {
        String id = UUID.randomUUID().toString();
        Path own = folder.resolve(id);
        boolean begun = false;
        try {
            Path file = Files.createDirectories(own).resolve("file");
            long size = Files.copy(content, file);
            if (!room.roomFor(COPIES * size)) {
                throw new DiskFullException();
            }
            Import made = new Import(id, person, own, largest.toBytes());
            known.put(id, made);
            ImportView first = made.view();
            one.execute(() -> made.run(exchange, everything));
            begun = true;
            return first;
        } catch (RejectedExecutionException e) {
            known.invalidate(id);
            throw new BusyException(PATIENCE);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            if (!begun) {
                FileSystemUtils.deleteRecursively(own.toFile());
            }
        }
    }

    /** @throws NotFoundException where this person began none such, or long ago */
    Import of(String id, Person person) {
        Import found = known.getIfPresent(id);
        if (found == null || !found.isOf(person)) {
            throw new NotFoundException("This import is no longer known. What was saved of it stands in the register.");
        }
        return found;
    }

    @PreDestroy
    void stop() throws InterruptedException {
        known.asMap().values().forEach(Import::cancel);
        one.shutdown();
        one.awaitTermination(PATIENCE.toSeconds(), TimeUnit.SECONDS);
    }
}
