package org.undanus.server.simulated;

import com.icegreen.greenmail.util.GreenMail;
import java.util.List;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.server.account.Person;
import org.undanus.server.mail.MailChoices;

/** What the demo's mail server got, over HTTP. */
@RestController
@RequestMapping("/api/simulated/mail")
class MailStandInController {
    private final ObjectProvider<GreenMail> standIn;
    private final MailChoices choices;

    MailStandInController(ObjectProvider<GreenMail> standIn, MailChoices choices) {
        this.standIn = standIn;
        this.choices = choices;
    }

    /** What arrived for this person, or for inspectors all of it; nothing where there is no stand-in. */
    @GetMapping
    List<MailStandIn.Arrived> arrived(@AuthenticationPrincipal Person person) {
        String own = choices.of(person.name()).address();
        return standIn.stream()
                .flatMap(server -> MailStandIn.arrived(server).stream())
                .filter(letter -> person.inspects() || letter.to().equals(own))
                .toList();
    }
}
