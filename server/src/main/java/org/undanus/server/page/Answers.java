package org.undanus.server.page;

import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import java.util.Arrays;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.method.HandlerMethod;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.space.KeepsNothing;

/** Declares beside what an operation answers when all is well how it refuses. */
@Component
class Answers implements OperationCustomizer {
    /** Every refusal there is, for the operations to refer to. */
    static Map<String, ApiResponse> all(Schema<?> problem) {
        return Stream.of(
                        HttpStatus.BAD_REQUEST,
                        HttpStatus.UNAUTHORIZED,
                        HttpStatus.FORBIDDEN,
                        HttpStatus.NOT_FOUND,
                        HttpStatus.CONFLICT,
                        HttpStatus.CONTENT_TOO_LARGE,
                        HttpStatus.UNSUPPORTED_MEDIA_TYPE,
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        HttpStatus.TOO_MANY_REQUESTS,
                        HttpStatus.INTERNAL_SERVER_ERROR,
                        HttpStatus.SERVICE_UNAVAILABLE,
                        HttpStatus.INSUFFICIENT_STORAGE)
                .collect(Collectors.toMap(HttpStatus::name, status -> new ApiResponse()
                        .description(status.getReasonPhrase())
                        .content(new Content()
                                .addMediaType(
                                        org.springframework.http.MediaType.APPLICATION_PROBLEM_JSON_VALUE,
                                        new MediaType().schema(problem)))));
    }

    @Override
    public Operation customize(Operation operation, HandlerMethod method) {
        Set<HttpStatus> refusals = refusals(operation, method);
        refusals.forEach(status -> operation
                .getResponses()
                .addApiResponse(
                        Integer.toString(status.value()),
                        new ApiResponse().$ref("#/components/responses/" + status.name())));
        return operation;
    }

    private static Set<HttpStatus> refusals(Operation operation, HandlerMethod method) {
        Set<HttpStatus> refusals = new TreeSet<>(Set.of(
                HttpStatus.BAD_REQUEST,
                HttpStatus.UNAUTHORIZED,
                // where a role needs a second factor that is not set up, or a page its token
                HttpStatus.FORBIDDEN,
                HttpStatus.INTERNAL_SERVER_ERROR,
                HttpStatus.SERVICE_UNAVAILABLE));
        if (Arrays.stream(method.getMethodParameters()).anyMatch(p -> p.hasParameterAnnotation(PathVariable.class))) {
            refusals.add(HttpStatus.NOT_FOUND);
        }
        RequestMapping mapping = AnnotatedElementUtils.findMergedAnnotation(method.getMethod(), RequestMapping.class);
        boolean asks = mapping != null && Arrays.asList(mapping.method()).contains(RequestMethod.GET);
        if (!asks) {
            if (operation.getRequestBody() != null) {
                refusals.addAll(Set.of(
                        HttpStatus.CONTENT_TOO_LARGE,
                        HttpStatus.UNSUPPORTED_MEDIA_TYPE,
                        HttpStatus.UNPROCESSABLE_CONTENT));
            }
            if (!method.hasMethodAnnotation(KeepsNothing.class)) {
                refusals.addAll(Set.of(HttpStatus.CONFLICT, HttpStatus.INSUFFICIENT_STORAGE));
            }
        }
        MayAlsoAnswer also = method.getMethodAnnotation(MayAlsoAnswer.class);
        if (also != null) {
            refusals.addAll(Arrays.asList(also.value()));
        }
        return refusals;
    }
}
