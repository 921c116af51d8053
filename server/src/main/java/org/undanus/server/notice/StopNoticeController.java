package org.undanus.server.notice;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.server.account.Person;

/** Stop notices over HTTP. */
@RestController
@RequestMapping("/api/installations/{id}/notices")
class StopNoticeController {

    /** @param orders what to do now */
    record NoticeView(
            String id,
            String title,
            String finding,
            String orders,
            String raisedBy,
            Instant raisedAt,
            String judgement) {
        private static NoticeView of(StopNotice notice) {
            return new NoticeView(
                    notice.id(),
                    notice.title(),
                    notice.finding(),
                    notice.orders(),
                    notice.raisedBy(),
                    notice.raisedAt(),
                    notice.judgement());
        }
    }

    record TakenDown(
            @NotBlank(message = "is empty: say why it is safe again")
                    @Size(max = 400, message = "is longer than 400 characters")
                    String reason) {}

    private final StopNotices notices;

    StopNoticeController(StopNotices notices) {
        this.notices = notices;
    }

    /** Those over the visit now; every open device of it asks for them. */
    @GetMapping
    List<NoticeView> standing(@PathVariable String id, @AuthenticationPrincipal Person person) {
        return notices.standing(id, person).stream().map(NoticeView::of).toList();
    }

    /** Takes one down, with a reason. */
    @PostMapping("/{notice}/down")
    NoticeView takeDown(
            @PathVariable String id,
            @PathVariable String notice,
            @Valid @RequestBody TakenDown asked,
            @AuthenticationPrincipal Person person) {
        return NoticeView.of(notices.takeDown(id, notice, asked.reason(), person));
    }
}
