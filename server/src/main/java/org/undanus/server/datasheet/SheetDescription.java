package org.undanus.server.datasheet;

import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.core.installation.SheetValue;

/** Names a sheet's single figures in the description of the interface: they stand among its own members. */
@Configuration
class SheetDescription {

    @Bean
    OpenApiCustomizer sheetFigures() {
        return api -> {
            Schema<?> sheet = api.getComponents().getSchemas().get(SheetRecord.class.getSimpleName());
            for (SheetValue figure : SheetValue.values()) {
                sheet.addProperty(
                        figure.key(),
                        new StringSchema()
                                .description(figure.title() + ", "
                                        + figure.dimension().named() + ": "
                                        + figure.dimension().example()));
            }
        };
    }
}
