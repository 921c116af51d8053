package org.undanus.server.problem;

import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;

/** More was sent than this address takes. */
final class BodyTooLargeException extends IOException {
    private static final long serialVersionUID = 1L;

    private final long most;

    BodyTooLargeException(long most) {
        super("Larger than " + most + " bytes");
        this.most = most;
    }

    ProblemDetail problem() {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(
                HttpStatus.CONTENT_TOO_LARGE,
                "This is larger than the " + most / 1024 + " kB that can be taken here. Nothing was changed.");
        problem.setTitle("Too large");
        return problem;
    }
}
