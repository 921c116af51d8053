package org.undanus.server;

import java.nio.file.Path;
import java.util.Optional;
import java.util.function.ToIntFunction;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.WebApplicationType;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.undanus.server.backup.Backup;
import org.undanus.server.backup.BackupCommands;
import org.undanus.server.journal.JournalCheck;
import org.undanus.server.problem.StartRefusedException;
import org.undanus.server.seal.SealCheck;
import org.undanus.server.signing.SigningKey;
import org.undanus.server.simulated.SimulatedInstruments;
import tools.jackson.databind.json.JsonMapper;

/**
 * Starts the server, or with the first argument {@code check-data}, {@code backup}, {@code restore},
 * {@code verify} or {@code new-key} does that and ends; with
 * {@code start-once} it starts, fills an empty folder and ends.
 */
@SpringBootApplication
public class Undanus {

    public static void main(String[] given) {
        try {
            if (given.length > 0 && given[0].equals("instruments")) {
                SimulatedInstruments.run(given);
                return;
            }
            if (given.length > 1 && given[0].equals("verify")) {
                System.exit(verify(Path.of(given[1])));
            }
            DataFolder folder = DataFolder.of(given);
            String[] arguments = folder.named(given);
            String command = arguments[0];
            switch (command) {
                case "check-data" -> System.exit(checkData(folder, arguments));
                case "backup" -> System.exit(backUp(folder, Path.of(arguments[1]), arguments));
                case "restore" -> System.exit(restore(folder, Path.of(arguments[1]), arguments));
                case "new-key" -> System.exit(newKey(folder));
                case "start-once" -> {
                    folder.requireUsable();
                    new SpringApplication(Undanus.class).run(arguments).close();
                }
                default -> {
                    folder.requireUsable();
                    new SpringApplication(Undanus.class).run(arguments);
                }
            }
        } catch (RuntimeException e) {
            System.err.println(refusal(e).orElseThrow(() -> e).getMessage());
            System.exit(1);
        }
    }

    private static Optional<StartRefusedException> refusal(Throwable thrown) {
        for (Throwable t = thrown; t != null; t = t.getCause()) {
            if (t instanceof StartRefusedException refused) {
                return Optional.of(refused);
            }
        }
        return Optional.empty();
    }

    /** Needs no data of its own: a sealed file speaks for itself. */
    private static int verify(Path file) {
        SealCheck.Verification outcome = new SealCheck(new JsonMapper(), Optional.empty()).check(file);
        System.out.println(outcome.sentence());
        outcome.problems().forEach(problem -> System.out.println("- " + problem));
        if (outcome.sound()) {
            System.out.println(
                    "Ask the office whether " + outcome.fingerprint() + " is its key: anybody can make one.");
        }
        return outcome.sound() ? 0 : 1;
    }

    private static int newKey(DataFolder folder) {
        if (folder.inUse()) {
            throw new StartRefusedException("Undanus has this data open. Stop it, then change the key.");
        }
        System.out.println("From now on " + SigningKey.changed(folder.path()).fingerprint()
                + " signs. What was signed before stays verifiable. Make a backup.");
        return 0;
    }

    private static int checkData(DataFolder folder, String[] arguments) {
        folder.requireUsable();
        return withoutServing(arguments, context -> {
            JournalCheck.Result outcome = context.getBean(JournalCheck.class).run();
            System.out.println(outcome.sentence());
            return outcome.sound() ? 0 : 1;
        });
    }

    private static int backUp(DataFolder folder, Path file, String[] arguments) {
        BackupCommands.requireNew(file);
        if (folder.inUse()) {
            BackupCommands.ask(folder.path(), file);
        } else {
            folder.requireUsable();
            withoutServing(arguments, context -> {
                context.getBean(Backup.class).to(file);
                return 0;
            });
        }
        System.out.println(
                "Backed up to " + file + ". It holds the signing key: keep it as safe as the data themselves.");
        return 0;
    }

    private static int restore(DataFolder folder, Path file, String[] arguments) {
        BackupCommands.unpack(file, folder.path());
        System.out.println("Restored into " + folder.path() + ".");
        return checkData(folder, arguments);
    }

    private static int withoutServing(String[] arguments, ToIntFunction<ConfigurableApplicationContext> work) {
        SpringApplication application = new SpringApplication(Undanus.class);
        application.setWebApplicationType(WebApplicationType.NONE);
        application.setLogStartupInfo(false);
        try (ConfigurableApplicationContext context = application.run(arguments)) {
            return work.applyAsInt(context);
        }
    }
}
