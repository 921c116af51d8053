package org.undanus.server.page;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.info.License;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.BooleanSchema;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.web.csrf.CsrfToken;
import org.undanus.server.account.Person;
import org.undanus.server.words.Viewer;

/** Makes the OpenAPI document say what the records say: everything is there but what is {@link Optional}. */
@Configuration
class ApiDescription {
    static {
        // filled in by the framework, not by whoever calls
        SpringDocUtils.getConfig().addRequestWrapperToIgnore(Person.class, CsrfToken.class, Viewer.class);
    }

    @Bean
    OpenApiCustomizer title() {
        return (OpenAPI api) -> {
            api.setInfo(new Info()
                    .title("Undanus")
                    .version("1")
                    .license(new License().name("Apache-2.0").identifier("Apache-2.0")));
            // the address of this machine is no part of the description
            api.setServers(List.of());
            api.getComponents().addSchemas("Problem", problem());
            Answers.all(new Schema<>().$ref("#/components/schemas/Problem")).forEach(api.getComponents()::addResponses);
        };
    }

    /** RFC 9457, with what the problem package adds to it. */
    private static Schema<?> problem() {
        Schema<?> problem = new ObjectSchema()
                .addProperty("type", new StringSchema())
                .addProperty("title", new StringSchema())
                .addProperty("status", new IntegerSchema())
                .addProperty("detail", new StringSchema())
                .addProperty("instance", new StringSchema())
                .addProperty("fields", new ObjectSchema().additionalProperties(new StringSchema()))
                .addProperty("choices", new ArraySchema().items(new StringSchema()))
                .addProperty("ask", new BooleanSchema())
                .addProperty("code", new BooleanSchema())
                .addProperty("yours", new Schema<>())
                .addProperty("theirs", new Schema<>())
                .addProperty(
                        "problems",
                        new ArraySchema()
                                .items(new ObjectSchema()
                                        .addProperty("line", new IntegerSchema())
                                        .addProperty("key", new StringSchema())
                                        .addProperty("message", new StringSchema())));
        problem.setRequired(List.of("title", "status", "detail"));
        problem.setAdditionalProperties(false);
        return problem;
    }

    @Bean
    ModelConverter requiredUnlessOptional() {
        return new RequiredUnlessOptional();
    }

    private static final class RequiredUnlessOptional implements ModelConverter {
        /** A schema is named as its record is: two of one name would be taken for one. */
        private final Map<String, Class<?>> named = new ConcurrentHashMap<>();

        @Override
        public Schema<?> resolve(AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
            Schema<?> schema = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
            rawRecord(type.getType()).ifPresent(this::requireOwnName);
            rawRecord(type.getType()).flatMap(record -> Optional.ofNullable(
                            context.getDefinedModels().get(record.getSimpleName()))
                    .map(model -> complete(model, record)));
            return schema;
        }

        private void requireOwnName(Class<?> record) {
            Class<?> before = named.putIfAbsent(record.getSimpleName(), record);
            if (before != null && before != record) {
                throw new IllegalStateException("Two schemas are called " + record.getSimpleName() + ": "
                        + before.getName() + " and " + record.getName());
            }
        }

        private static Schema<?> complete(Schema<?> model, Class<?> record) {
            model.setRequired(Arrays.stream(record.getRecordComponents())
                    .filter(component -> component.getType() != Optional.class && !spread(component))
                    .map(RecordComponent::getName)
                    .toList());
            Arrays.stream(record.getRecordComponents())
                    .filter(RequiredUnlessOptional::spread)
                    .findFirst()
                    .map(component -> model.getProperties().remove(component.getName()))
                    .ifPresent(map -> model.setAdditionalProperties(map.getAdditionalProperties()));
            return model;
        }

        /** Whether its entries stand among the record's own members. */
        private static boolean spread(RecordComponent component) {
            return component.getAccessor().isAnnotationPresent(JsonAnyGetter.class);
        }

        private static Optional<Class<?>> rawRecord(Type type) {
            if (type instanceof Class<?> raw && raw.isRecord()) {
                return Optional.of(raw);
            }
            return type instanceof JavaType java && java.getRawClass().isRecord()
                    ? Optional.of(java.getRawClass())
                    : Optional.empty();
        }
    }
}
