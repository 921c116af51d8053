package org.undanus.server.words;

import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.parameters.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.LocaleResolver;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.i18n.AcceptHeaderLocaleResolver;
import org.springframework.web.servlet.support.RequestContextUtils;
import org.undanus.core.words.UnitSystem;

/** Gives every controller its {@link Viewer}, and says in the interface's description how to be one. */
@Configuration
class ViewerResolver implements WebMvcConfigurer, HandlerMethodArgumentResolver {
    private static final String UNITS = "units";

    private final Languages languages;

    ViewerResolver(Languages languages) {
        this.languages = languages;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == Viewer.class;
    }

    /** @throws MethodArgumentTypeMismatchException where the units are none there are */
    @Override
    public Viewer resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer container,
            NativeWebRequest request,
            WebDataBinderFactory binders) {
        Optional<String> asked =
                Optional.ofNullable(request.getParameter(UNITS)).filter(units -> !units.isEmpty());
        try {
            return new Viewer(
                    asked.map(UnitSystem::valueOf),
                    languages.of(RequestContextUtils.getLocale(request.getNativeRequest(HttpServletRequest.class))));
        } catch (IllegalArgumentException e) {
            throw new MethodArgumentTypeMismatchException(asked.get(), UnitSystem.class, UNITS, parameter, e);
        }
    }

    /** The first language asked for that there is, also where it is asked for as spoken in some country; else English. */
    @Bean
    LocaleResolver localeResolver() {
        AcceptHeaderLocaleResolver resolver = new AcceptHeaderLocaleResolver();
        resolver.setSupportedLocales(languages.known());
        resolver.setDefaultLocale(Locale.ENGLISH);
        return resolver;
    }

    @Bean
    OperationCustomizer unitsOfAViewer() {
        List<String> known = Arrays.stream(UnitSystem.values()).map(Enum::name).toList();
        return (operation, method) -> {
            if (Arrays.stream(method.getMethodParameters()).anyMatch(this::supportsParameter)) {
                operation.addParametersItem(new Parameter()
                        .in("query")
                        .name(UNITS)
                        .required(false)
                        .schema(new StringSchema()._enum(known)));
            }
            return operation;
        };
    }
}
