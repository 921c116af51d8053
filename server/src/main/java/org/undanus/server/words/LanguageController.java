package org.undanus.server.words;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the pages say in the reader's language; also before anybody has signed in. */
@RestController
@RequestMapping("/api/language")
class LanguageController {

    /**
     * @param tag of the language, {@code en} where there is none of those asked for
     * @param sentences by their English, which the pages have themselves: one form, or that of one and that of any other number
     */
    record LanguageView(String tag, Map<String, List<String>> sentences) {}

    private final Languages languages;

    LanguageController(Languages languages) {
        this.languages = languages;
    }

    @GetMapping
    LanguageView language(Locale asked) {
        return new LanguageView(languages.tag(languages.of(asked)), languages.ofPages(asked));
    }
}
