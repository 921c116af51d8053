package org.undanus.bench;

import java.io.IOException;
import java.util.Arrays;
import java.util.concurrent.TimeUnit;

/** How long the first page of a large register takes, once every installation has been judged. Argument: address. */
public final class RegisterLoad {
    private static final int ASKED = 100;

    private final Caller caller;

    private RegisterLoad(Caller caller) {
        this.caller = caller;
    }

    public static void main(String[] arguments) throws Exception {
        new RegisterLoad(new Caller(arguments[0])).run();
    }

    private void run() throws IOException, InterruptedException {
        long begun = System.nanoTime();
        while (!caller.send("GET", "/api/installations", "").contains("\"outdated\":0")) {
            TimeUnit.SECONDS.sleep(1);
        }
        System.out.printf("register judged again: %d s%n", TimeUnit.NANOSECONDS.toSeconds(System.nanoTime() - begun));
        double[] times = new double[ASKED];
        for (int i = 0; i < ASKED; i++) {
            long before = System.nanoTime();
            caller.send("GET", "/api/installations", "");
            times[i] = (System.nanoTime() - before) / 1e6;
        }
        Arrays.sort(times);
        System.out.printf(
                "first page of the register: median %.1f ms, p95 %.1f ms%n", times[ASKED / 2], times[ASKED * 95 / 100]);
    }
}
