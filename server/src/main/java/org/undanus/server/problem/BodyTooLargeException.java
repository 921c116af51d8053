package org.undanus.server.problem;

import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.undanus.core.words.Text;
import org.undanus.core.words.Wording;

/** More was sent than this address takes. */
final class BodyTooLargeException extends IOException {
    private static final long serialVersionUID = 1L;

    private final long most;

    BodyTooLargeException(long most) {
        super("Larger than " + most + " bytes");
        this.most = most;
    }

    ProblemDetail problem(Wording wording) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(
                HttpStatus.CONTENT_TOO_LARGE,
                Text.of("This is larger than the {most} kB that can be taken here. Nothing was changed.", most / 1024)
                        .in(wording));
        problem.setTitle(wording.say("Too large"));
        return problem;
    }
}
