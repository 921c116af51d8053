package org.undanus.server.words;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.fedorahosted.tennera.jgettext.Catalog;
import org.fedorahosted.tennera.jgettext.Message;
import org.fedorahosted.tennera.jgettext.PoParser;
import org.fedorahosted.tennera.jgettext.catalog.parse.ParseException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;
import org.undanus.core.words.Language;

/**
 * The languages there are: English stands in the code, others in {@code .po} files (GNU gettext), one a language, each
 * called by its tag.
 */
@Component
public class Languages {
    /** What a sentence of the pages is marked by, where a translator's tool names the source. */
    static final String PAGES = "web";

    private static final String ENDING = ".po";

    private final Map<String, Translated> byTag = new HashMap<>();

    /**
     * @param where the pattern of the files' places
     * @throws IllegalStateException where a file is none
     */
    Languages(@Value("${undanus.languages}") String where) {
        try {
            for (Resource file : new PathMatchingResourcePatternResolver().getResources(where)) {
                String name = file.getFilename();
                byTag.put(name.substring(0, name.length() - ENDING.length()), read(file));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Translated read(Resource file) throws IOException {
        try {
            return new Translated(new PoParser().parseCatalog(file.getInputStream(), false));
        } catch (ParseException e) {
            throw new IllegalStateException("The language file " + file.getFilename() + " cannot be read.", e);
        }
    }

    /** All there are, English first. */
    List<Locale> known() {
        return Stream.concat(
                        Stream.of(Locale.ENGLISH),
                        byTag.keySet().stream().sorted().map(Locale::forLanguageTag))
                .toList();
    }

    /** English where there is no other of it. */
    public Language of(Locale asked) {
        Translated known = byTag.get(asked.toLanguageTag());
        return known == null ? Language.ENGLISH : known;
    }

    /**
     * What there is of a language in the sentences of the pages: the forms of each, by its English.
     *
     * @return empty in English
     */
    Map<String, List<String>> ofPages(Locale asked) {
        Translated known = byTag.get(asked.toLanguageTag());
        return known == null ? Map.of() : known.ofPages;
    }

    /** A language's own tag: {@code en} of English. */
    public String tag(Language language) {
        return byTag.entrySet().stream()
                .filter(known -> known.getValue() == language)
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse(Locale.ENGLISH.toLanguageTag());
    }

    /** That of whoever asks on this thread. */
    public Language ofRequest() {
        return of(LocaleContextHolder.getLocale());
    }

    /** What a file of templates says of each. Plurals are those of English: one, and any other number. */
    private static final class Translated implements Language {
        private final Map<String, List<String>> said = new HashMap<>();
        private final Map<String, List<String>> ofPages = new TreeMap<>();

        Translated(Catalog catalog) {
            for (Message message : catalog) {
                List<String> forms = message.isPlural() ? message.getMsgstrPlural() : List.of(message.getMsgstr());
                if (!message.isHeader() && forms.stream().noneMatch(String::isEmpty)) {
                    said.put(message.getMsgid(), List.copyOf(forms));
                    if (message.getSourceReferences().stream().anyMatch(from -> from.startsWith(PAGES))) {
                        ofPages.put(message.getMsgid(), List.copyOf(forms));
                    }
                }
            }
        }

        @Override
        public String say(String template) {
            List<String> forms = said.get(template);
            return forms == null ? template : forms.get(0);
        }

        @Override
        public String say(String one, String many, long count) {
            List<String> forms = said.get(one);
            return forms == null || forms.size() < 2
                    ? Language.ENGLISH.say(one, many, count)
                    : forms.get(count == 1 ? 0 : 1);
        }
    }
}
