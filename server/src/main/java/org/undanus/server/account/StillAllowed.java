package org.undanus.server.account;

import org.springframework.security.authentication.CredentialsExpiredException;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.undanus.server.journal.Authority;

/**
 * Reads the account of whoever asks again before their change is kept: a request can be held open for long after it was let in.
 */
@Component
class StillAllowed implements Authority {
    private final AccountMapper mapper;
    private final EndedSessions ended;

    StillAllowed(AccountMapper mapper, EndedSessions ended) {
        this.mapper = mapper;
        this.ended = ended;
    }

    @Override
    public void require() {
        Authentication signedIn = SecurityContextHolder.getContext().getAuthentication();
        if (signedIn == null || !(signedIn.getPrincipal() instanceof Person person)) {
            // nobody asked: the application itself writes
            return;
        }
        AccountMapper.AccountRow now = mapper.findNow(person.name());
        if (now == null || !now.active() || !now.person().mayAs(person) || sessionIsOver(person)) {
            throw new CredentialsExpiredException(
                    "Your account has been changed. You are not signed in any more. Nothing was saved.");
        }
    }

    private boolean sessionIsOver(Person person) {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request
                && request.getRequest().getSession(false) != null
                && ended.isOver(person, request.getRequest().getSession(false));
    }
}
