package org.undanus.bench;

import java.io.IOException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** How long a changed rule book takes to be tried on the whole archive. Argument: address. */
public final class TrialLoad {
    private static final String BOOK = "/api/rule-books/sallowmere-2026-plate";
    private static final int POLL = 50;
    private static final int ROUNDS = 3;

    private final Caller caller;

    private TrialLoad(Caller caller) {
        this.caller = caller;
    }

    public static void main(String[] arguments) throws Exception {
        TrialLoad load = new TrialLoad(new Caller(arguments[0], "lead"));
        load.run("a limit of one line", "siting.outdoor-clearance-front", "AT_LEAST", "45 in");
    }

    private void run(String what, String key, String side, String value) throws IOException, InterruptedException {
        String draft = caller.send(
                "POST",
                BOOK + "/draft",
                "{\"limits\":[{\"key\":\"" + key + "\",\"by\":\"practice\",\"side\":\"" + side + "\",\"value\":\""
                        + value + "\",\"source\":\"bench\"}],\"settings\":[],\"schools\":[],\"note\":\"\"}");
        String yaml = found("\"yaml\":\"((?:[^\"\\\\]++|\\\\.)*+)\"", draft)
                .replace("\\n", "\n")
                .replace("\\\"", "\"");
        for (int round = 0; round < ROUNDS; round++) {
            String trial = caller.send("POST", BOOK + "/trials", yaml, "text/plain");
            String id = found("\"id\":\"([^\"]+)\"", trial);
            while (trial.contains("\"state\":\"RUNNING\"")) {
                Thread.sleep(POLL);
                trial = caller.send("GET", "/api/trials/" + id, "");
            }
            System.out.printf(
                    "%s, tried on %s installations, %s change: %s s%n",
                    what,
                    found("\"done\":(\\d+)", trial),
                    found("\"changed\":(\\d+)", trial),
                    found("\"seconds\":([0-9.]+)", trial));
        }
    }

    private static String found(String pattern, String text) {
        Matcher matcher = Pattern.compile(pattern).matcher(text);
        if (!matcher.find()) {
            throw new IllegalStateException(text);
        }
        return matcher.group(1);
    }
}
