package org.undanus.server.problem;

import java.text.Normalizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.core.words.RefusedException;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JacksonModule;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.module.SimpleModule;

/**
 * Every text that comes in as JSON is composed (NFC), so that what looks the same is the same, and holds no control characters but
 * tabs and line ends: they can be neither shown nor printed.
 */
@Configuration
class PlainText {

    /** A control character in a text. */
    static final class ControlCharacterException extends RefusedException {
        private static final long serialVersionUID = 1L;

        ControlCharacterException(int code) {
            super("holds a control character (code {code}), which can be neither shown nor printed", code);
        }
    }

    @Bean
    JacksonModule plainTexts() {
        return new SimpleModule("plain texts").addDeserializer(String.class, new Composed());
    }

    private static final class Composed extends StdDeserializer<String> {
        Composed() {
            super(String.class);
        }

        @Override
        public String deserialize(JsonParser parser, DeserializationContext context) {
            String text = parser.getValueAsString();
            if (text == null) {
                return (String) context.handleUnexpectedToken(getValueType(context), parser);
            }
            text.chars().filter(PlainText::forbidden).findFirst().ifPresent(code -> {
                throw new ControlCharacterException(code);
            });
            return Normalizer.normalize(text, Normalizer.Form.NFC);
        }
    }

    private static boolean forbidden(int character) {
        return Character.isISOControl(character) && character != '\t' && character != '\n' && character != '\r';
    }
}
