package org.undanus.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.servlet.http.HttpServletRequest;
import java.lang.reflect.Proxy;
import org.junit.jupiter.api.Test;
import org.undanus.server.problem.TooManyTriesException;

class SignInThrottleTest {
    private final SignInThrottle throttle = new SignInThrottle();

    private static HttpServletRequest from(String address) {
        return (HttpServletRequest) Proxy.newProxyInstance(
                SignInThrottleTest.class.getClassLoader(),
                new Class<?>[] {HttpServletRequest.class},
                (proxy, method, arguments) -> method.getName().equals("getRemoteAddr") ? address : null);
    }

    private boolean admitted(String name, String address) {
        try {
            throttle.admit(name, from(address));
            return true;
        } catch (TooManyTriesException e) {
            return false;
        }
    }

    @Test
    void fiveAtOnceFromOneAddress() {
        for (int i = 0; i < 5; i++) {
            assertThat(admitted("wren", "10.0.0.1")).isTrue();
        }
        assertThatThrownBy(() -> throttle.admit(" WREN", from("10.0.0.1"))).isInstanceOf(TooManyTriesException.class);
        assertThat(admitted("teal", "10.0.0.1")).isTrue();
    }

    @Test
    void sixtyAddressesAreNotSixtyTimesAsMany() {
        int admitted = 0;
        for (int i = 0; i < 60; i++) {
            admitted += admitted("wren", "10.0.1." + i) ? 1 : 0;
        }
        assertThat(admitted).isEqualTo(20);
    }

    @Test
    void strangersDoNotKeepTheOwnerOutWhereTheySignedInBefore() {
        throttle.admit("wren", from("10.0.0.1"));
        throttle.right("wren", from("10.0.0.1"));
        for (int i = 0; i < 60; i++) {
            admitted("wren", "10.0.1." + i);
        }
        assertThatCode(() -> throttle.admit("wren", from("10.0.0.1"))).doesNotThrowAnyException();
    }

    @Test
    void whoWasRightHasAllTriesAgain() {
        for (int i = 0; i < 5; i++) {
            throttle.admit("wren", from("10.0.0.1"));
        }
        throttle.right("wren", from("10.0.0.1"));
        assertThat(admitted("wren", "10.0.0.1")).isTrue();
    }
}
