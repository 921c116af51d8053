package org.undanus.server.page;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The addresses inside the interface all lead to its one page; it finds its own way from there. */
@Controller
class PageController {

    @GetMapping({
        "/sign-in",
        "/register",
        "/installations/**",
        "/corrections",
        "/corrections/*",
        "/letters",
        "/records/*",
        "/crews",
        "/seals",
        "/seals/*",
        "/rule-books",
        "/rule-books/*",
        "/data-sheets",
        "/instruments",
        "/people",
        "/calculators",
        "/calculators/*"
    })
    String page() {
        return "forward:/index.html";
    }
}
