package org.undanus.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.WebApplicationType;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.undanus.server.journal.JournalCheck;

/** Starts the server, or with the argument {@code check-data} verifies the journal and ends. */
@SpringBootApplication
public class Undanus {

    public static void main(String[] arguments) {
        if (arguments.length > 0 && arguments[0].equals("check-data")) {
            System.exit(checkData(arguments));
        }
        SpringApplication.run(Undanus.class, arguments);
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
