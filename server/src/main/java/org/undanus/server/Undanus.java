package org.undanus.server;

import java.util.Optional;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.WebApplicationType;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.undanus.server.journal.JournalCheck;

/** Starts the server, or with the argument {@code check-data} verifies the kept data and ends. */
@SpringBootApplication
public class Undanus {

    public static void main(String[] arguments) {
        try {
            DataFolder.of(arguments).requireUsable();
            if (arguments.length > 0 && arguments[0].equals("check-data")) {
                System.exit(checkData(arguments));
            }
            new SpringApplication(Undanus.class).run(arguments);
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

    private static int checkData(String[] arguments) {
        SpringApplication application = new SpringApplication(Undanus.class);
        application.setWebApplicationType(WebApplicationType.NONE);
        try (ConfigurableApplicationContext context = application.run(arguments)) {
            JournalCheck.Outcome outcome = context.getBean(JournalCheck.class).run();
            System.out.println(outcome.sentence());
            return outcome.sound() ? 0 : 1;
        }
    }
}
