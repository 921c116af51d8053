package org.undanus.server.exchange;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.List;
import java.util.zip.ZipException;
import org.springframework.util.FileSystemUtils;
import org.undanus.server.account.Person;

/** One file on its way in. */
final class Import implements ImportProgress {
    /** How far it is. */
    enum State {
        WAITING,
        READING,
        KEEPING,
        DONE,
        CANCELLED
    }

    /**
     * For the person who began it.
     *
     * @param done of the steps
     * @param steps readings, corrections and photos to be kept; 0 until that is known
     * @param installations the ids of those entered, once it is done
     */
    record ImportView(String id, State state, int done, int steps, List<String> installations) {}

    private final String id;
    private final Person person;
    private final Path folder;
    private final long most;
    private State state = State.WAITING;
    private int done;
    private int steps;
    private boolean unwanted;
    private List<String> installations = List.of();
    private RuntimeException failure;

    /** @param most bytes of what a packed file may hold */
    Import(String id, Person person, Path folder, long most) {
        this.most = most;
        this.id = id;
        this.person = person;
        this.folder = folder;
    }

    boolean isOf(Person other) {
        return person.name().equals(other.name());
    }

    void run(CaseImport exchange, Everything everything) {
        try {
            enter(State.READING);
            Path file = folder.resolve("file");
            List<String> made = holdsEverything(file)
                    ? everything.read(file, person, this)
                    : exchange.read(document(file), person, this);
            synchronized (this) {
                installations = made;
                state = State.DONE;
            }
        } catch (CancelledException e) {
            settle(State.CANCELLED);
        } catch (RuntimeException e) {
            fail(e);
        } catch (Error e) {
            // whoever waits must hear of it
            fail(new IllegalStateException("The import ended by " + e, e));
            throw e;
        } finally {
            FileSystemUtils.deleteRecursively(folder.toFile());
        }
    }

    private static boolean holdsEverything(Path file) {
        try {
            return CaseZip.is(file) && Everything.is(file);
        } catch (ZipException damaged) {
            return false;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What came in, unpacked where it was packed. */
    private Path document(Path file) {
        try {
            return CaseZip.is(file) ? CaseZip.unpack(file, most) : file;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void enter(State next) {
        requireWanted();
        settle(next);
    }

    private synchronized void settle(State next) {
        state = next;
    }

    private synchronized void fail(RuntimeException why) {
        failure = why;
    }

    private synchronized void requireWanted() {
        if (unwanted) {
            throw new CancelledException();
        }
    }

    @Override
    public synchronized void begins(int all) {
        requireWanted();
        state = State.KEEPING;
        steps += all;
    }

    @Override
    public synchronized void step() {
        requireWanted();
        done++;
    }

    /** Asks for its end. What is kept already stays kept. */
    synchronized void cancel() {
        unwanted = true;
    }

    /**
     * How it stands.
     *
     * @throws RuntimeException what it failed by, as if the file had been read at once
     */
    synchronized ImportView view() {
        if (failure != null) {
            throw failure;
        }
        return new ImportView(id, state, done, steps, installations);
    }
}
