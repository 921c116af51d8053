package org.undanus.server.problem;

import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/** Whether the request at hand has changed what is kept: what fails after that must not say that nothing was saved. */
public final class Saved {
    private static final String NAME = Saved.class.getName();

    private Saved() {}

    /** To be called once a change is committed; without a request nobody asks. */
    public static void mark() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request != null) {
            request.setAttribute(NAME, true, RequestAttributes.SCOPE_REQUEST);
        }
    }

    static boolean marked() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        return request != null && request.getAttribute(NAME, RequestAttributes.SCOPE_REQUEST) != null;
    }
}
